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
import type { Message } from "./toasts";

const queue = new ToastQueue<Message>({ maxVisibleToasts: 3 });

const SHORT_MS = 5_000;
const LONG_MS = 10_000;

/** Shows a message for a moment; one with an act for longer. */
export const show = (message: Message): void =>
  void queue.add(message, { timeout: message.act ? LONG_MS : SHORT_MS });

const Place = styled(ToastRegion<Message>)`
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

/** Where messages stand. */
export function Region() {
  return (
    <Place queue={queue} aria-label="Messages">
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
    </Place>
  );
}
