"use client";
import { Eye } from "lucide-react";
import { createContext, useContext } from "react";
import { Button as AriaButton } from "react-aria-components";
import styled from "styled-components";
import { sightWords, type Sight } from "@/core/figure";
import { ask } from "./ask";
import { Button } from "./Button";
import { Opens } from "./Opens";
import { tell } from "./toasts";

/** What the viewer does not see all of; null for those who see everything. */
export const SightContext = createContext<Sight | null>(null);

const Line = styled.p`
  color: var(--ink-2);
  font-size: 12.5px;
  line-height: 17px;
  button {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    min-height: 24px;
    color: inherit;
    text-align: left;
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
  svg {
    width: 14px;
    height: 14px;
    flex: none;
  }
  @media (max-width: 700px) {
    button {
      min-height: 44px;
    }
  }
`;
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

/** A quiet line at the foot of what is counted, for whoever may not see everything: two of them may read two figures, and both know why. */
export function SightLine() {
  const sight = useContext(SightContext);
  if (!sight) return null;
  return (
    <Line>
      <Opens
        label="What is counted"
        placement="top start"
        button={
          <AriaButton>
            <Eye aria-hidden />
            {sightWords(sight)}
          </AriaButton>
        }
      >
        {(close) => <Means sight={sight} onDone={close} />}
      </Opens>
    </Line>
  );
}

function Means({ sight, onDone }: { readonly sight: Sight; readonly onDone: () => void }) {
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
