"use client";
import {
  UNSTABLE_Toast as Toast,
  UNSTABLE_ToastContent as ToastContent,
  UNSTABLE_ToastQueue as ToastQueue,
  UNSTABLE_ToastRegion as ToastRegion,
  Button as AriaButton,
  Text,
} from "react-aria-components";
import { X } from "lucide-react";
import styled from "styled-components";

interface Message {
  readonly text: string;
  readonly act?: { readonly words: string; readonly run: () => void };
}
const queue = new ToastQueue<Message>({ maxVisibleToasts: 3 });

/** Says what happened, for a moment; with an act (such as undo) longer. */
export const tell = (text: string, act?: Message["act"]): void =>
  void queue.add(act ? { text, act } : { text }, { timeout: act ? 10_000 : 5_000 });

const Region = styled(ToastRegion<Message>)`
  position: fixed;
  right: 20px;
  bottom: 20px;
  z-index: 60;
  display: flex;
  flex-direction: column;
  gap: 8px;
  outline: none;
`;
const Slip = styled(Toast<Message>)`
  background: var(--ink);
  color: var(--paper);
  padding: 10px 12px 10px 16px;
  display: flex;
  gap: 14px;
  align-items: center;
  border-radius: 3px;
  box-shadow: var(--shade);
  max-width: 420px;
  button {
    color: inherit;
    font-weight: 650;
    display: inline-grid;
    place-items: center;
    min-width: 24px;
    min-height: 24px;
  }
`;

export function Toasts() {
  return (
    <Region queue={queue} aria-label="Messages">
      {({ toast }) => (
        <Slip toast={toast}>
          <ToastContent>
            <Text slot="title">{toast.content.text}</Text>
          </ToastContent>
          {toast.content.act && (
            <AriaButton
              onPress={() => {
                toast.content.act!.run();
                queue.close(toast.key);
              }}
            >
              {toast.content.act.words}
            </AriaButton>
          )}
          <AriaButton slot="close" aria-label="Close message">
            <X size={15} aria-hidden />
          </AriaButton>
        </Slip>
      )}
    </Region>
  );
}
