"use client";
import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import type { Deck } from "@/core/definition";
import { Button, Checkbox, Field } from "../../kit";
import { DeckBar } from "./arrangeStyle";

interface DeckSettingsProps {
  readonly deck: Deck;
  readonly onDeck: (deck: Deck) => void;
  readonly onMove: (by: -1 | 1) => void;
  readonly onTakeOut: () => void;
}

/** The title and note of a deck, whether it is put away at first, and its place among the others. */
export const DeckSettings = ({ deck, onDeck, onMove, onTakeOut }: DeckSettingsProps) => (
  <DeckBar>
    <Field
      label="Title of the deck"
      value={deck.title}
      error={deck.title.trim() ? null : "A deck needs a title."}
      onChange={(title) => onDeck({ ...deck, title: title.slice(0, 120) })}
    />
    <Field
      label="Note"
      value={deck.note}
      onChange={(note) => onDeck({ ...deck, note: note.slice(0, 300) })}
    />
    <Checkbox isSelected={deck.isClosed} onChange={(isClosed) => onDeck({ ...deck, isClosed })}>
      put away at first
    </Checkbox>
    <Button $small $icon aria-label={`Move ${deck.title} up`} onPress={() => onMove(-1)}>
      <ArrowUp aria-hidden />
    </Button>
    <Button $small $icon aria-label={`Move ${deck.title} down`} onPress={() => onMove(1)}>
      <ArrowDown aria-hidden />
    </Button>
    <Button $small $icon aria-label={`Take the deck ${deck.title} out`} onPress={onTakeOut}>
      <Trash2 aria-hidden />
    </Button>
  </DeckBar>
);
