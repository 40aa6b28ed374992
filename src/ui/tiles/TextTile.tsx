"use client";
import type { TextTile as WordsOf } from "@/core/definition";
import { TextBody } from "./TextBody";
import { Box } from "./tileStyle";

/** A tile of words. */
export const TextTile = ({ tile }: { tile: WordsOf }) => (
  <Box $ground="var(--paper)" aria-label={tile.title || "Words"}>
    {tile.title && (
      <div className="top">
        <h3>{tile.title}</h3>
      </div>
    )}
    <TextBody text={tile.text} />
  </Box>
);
