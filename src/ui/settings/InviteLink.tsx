"use client";
import { Copy } from "lucide-react";
import { Button, Dialog, Field, tell } from "../kit";

interface InviteLinkProps {
  readonly name: string;
  readonly href: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** The link that lets somebody choose a password; it is told once. */
export function InviteLink({ name, href, isOpen, onClose }: InviteLinkProps) {
  return (
    <Dialog
      title={`A link for ${name}`}
      isOpen={isOpen}
      onOpenChange={(open) => !open && onClose()}
    >
      <p style={{ marginBottom: 12 }}>
        It works once, for 7 days. Send it to nobody else; it is shown only here.
      </p>
      <Field label="Link" value={href} isReadOnly />
      <div style={{ display: "flex", justifyContent: "flex-end", gap: 8, marginTop: 16 }}>
        <Button onPress={() => onClose()}>Close</Button>
        <Button
          $look="solid"
          onPress={() =>
            void navigator.clipboard.writeText(href).then(
              () => tell("The link is copied."),
              () => tell("This browser does not let pages copy; select the link instead."),
            )
          }
        >
          <Copy aria-hidden />
          Copy
        </Button>
      </div>
    </Dialog>
  );
}
