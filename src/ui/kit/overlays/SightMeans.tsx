"use client";
import styled from "styled-components";
import type { Sight } from "@/core/figure";
import { ask } from "../ask";
import { Button } from "../Button";
import { tell } from "../toasts";

const Told = styled.div`
  padding: 12px 16px;
  width: 380px;
  max-width: 100%;
  p {
    margin-bottom: 8px;
  }
  ul {
    margin-bottom: 10px;
    columns: 2;
  }
`;

/** What it means not to see everything, and how to ask for more. */
export function SightMeans({
  sight,
  onDone,
}: {
  readonly sight: Sight;
  readonly onDone: () => void;
}) {
  const request = async () => {
    onDone();
    try {
      const told = await ask("askToSee", {});
      tell(
        told
          ? "The administrators were told by mail."
          : "You asked within a day, or no administrator has an address: nothing was sent.",
      );
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <Told>
      <p>
        Figures, lists and files are counted over the items of these projects and those of no
        project. Somebody who may see others can read other figures in the same place.
      </p>
      <ul>
        {sight.projects.map((project) => (
          <li key={project}>{project}</li>
        ))}
      </ul>
      <Button $small $look="line" onPress={() => void request()}>
        Ask to see more
      </Button>
    </Told>
  );
}
