"use client";
import { Settings2 } from "lucide-react";
import type { ShownFilter } from "@/contract/dashboards";
import { isReportTile, type Deck, type Tile } from "@/core/definition";
import { Button, Checkbox, Choice, Field, Opens } from "../../kit";
import { filterTitle } from "../../tiles";
import { Settings } from "./arrangeStyle";

interface TileSettingsProps {
  readonly tile: Tile;
  readonly decks: readonly Deck[];
  readonly filters: readonly ShownFilter[];
  readonly onTile: (tile: Tile) => void;
  readonly onDeck: (deck: string | undefined) => void;
}

type Own = "title" | "subtitle" | "footnote";

/** What is a tile's own: its words, its deck, what it listens to, whether it gives and takes beams. */
export const TileSettings = (props: TileSettingsProps) => (
  <Opens
    label="Settings of the tile"
    placement="bottom end"
    maxHeight={520}
    button={
      <Button $small $icon aria-label="Settings of this tile">
        <Settings2 aria-hidden />
      </Button>
    }
  >
    {(close) => <Inside {...props} onDone={close} />}
  </Opens>
);

function Inside({
  tile,
  decks,
  filters,
  onTile,
  onDeck,
  onDone,
}: TileSettingsProps & { onDone: () => void }) {
  const set = (more: object) => onTile({ ...tile, ...more } as Tile);
  const own = (name: Own, text: string) => {
    const { [name]: _was, ...rest } = tile;
    onTile((text ? { ...rest, [name]: text } : rest) as Tile);
  };
  const flag = (name: "givesNone" | "takesNone", on: boolean) => {
    const { [name]: _was, ...rest } = tile;
    onTile((on ? { ...rest, [name]: true } : rest) as Tile);
  };
  const deaf = tile.deaf ?? [];
  return (
    <Settings>
      {!isReportTile(tile) && (
        <label>
          <h4>Words, in Markdown</h4>
          <textarea
            value={tile.text}
            maxLength={8000}
            onChange={(event) => set({ text: event.target.value })}
          />
        </label>
      )}
      <Field
        label="Title of its own"
        placeholder={isReportTile(tile) ? "that of the report" : "none"}
        value={tile.title ?? ""}
        onChange={(text) => own("title", text.slice(0, 200))}
      />
      {isReportTile(tile) && (
        <>
          <Field
            label="Subtitle"
            value={tile.subtitle ?? ""}
            onChange={(text) => own("subtitle", text.slice(0, 300))}
          />
          <Field
            label="Footnote"
            value={tile.footnote ?? ""}
            onChange={(text) => own("footnote", text.slice(0, 500))}
          />
        </>
      )}
      {decks.length > 0 && (
        <Choice
          label="Deck"
          value={tile.deck ?? ""}
          options={[["", "none"] as const, ...decks.map((deck) => [deck.id, deck.title] as const)]}
          onChange={(deck) => {
            onDeck(deck || undefined);
            onDone();
          }}
        />
      )}
      {isReportTile(tile) && filters.length > 0 && (
        <>
          <h4>Listens to</h4>
          {filters.map((filter) => (
            <Checkbox
              key={filter.id}
              isSelected={!deaf.includes(filter.id)}
              onChange={(on) =>
                set({ deaf: on ? deaf.filter((id) => id !== filter.id) : [...deaf, filter.id] })
              }
            >
              {filterTitle(filter)}
            </Checkbox>
          ))}
        </>
      )}
      {isReportTile(tile) && (
        <>
          <h4>Beams</h4>
          <Checkbox isSelected={!tile.givesNone} onChange={(on) => flag("givesNone", !on)}>
            a pressed part narrows the other tiles
          </Checkbox>
          <Checkbox isSelected={!tile.takesNone} onChange={(on) => flag("takesNone", !on)}>
            parts pressed elsewhere narrow it
          </Checkbox>
        </>
      )}
      <Button $small $look="solid" onPress={onDone}>
        Done
      </Button>
    </Settings>
  );
}
