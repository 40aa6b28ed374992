"use client";
import { useContext } from "react";
import { Button as AriaButton } from "react-aria-components";
import styled from "styled-components";
import { sightWords } from "@/core/figure";
import { later } from "./later";
import { Opens } from "./Opens";
import { SightContext } from "./sight";

const SightMeans = later(() => import("./overlays/SightMeans"), "SightMeans");

const Line = styled.p`
  color: var(--ink-2);
  font-size: 12.5px;
  line-height: 17px;
  button {
    min-height: 24px;
    color: inherit;
    text-align: left;
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
  @media (max-width: 700px) {
    button {
      min-height: 44px;
    }
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
        button={<AriaButton>{sightWords(sight)}</AriaButton>}
      >
        {(close) => <SightMeans sight={sight} onDone={close} />}
      </Opens>
    </Line>
  );
}
