"use client";
import Markdown from "react-markdown";
import styled from "styled-components";

const Words = styled.div`
  overflow: auto;
  flex: 1;
  min-height: 0;
  font: 400 17px/25px var(--serif);
  > * + * {
    margin-top: 8px;
  }
  h1,
  h2,
  h3 {
    font: 560 22px/28px var(--serif);
  }
  ul,
  ol {
    padding-left: 20px;
    list-style: disc;
  }
  ol {
    list-style: decimal;
  }
  a {
    text-decoration: underline;
  }
  code {
    font-size: 14px;
  }
  img {
    display: none;
  }
`;

/** Words in Markdown. Markup in them is shown as written, addresses that could run something lead nowhere, pictures from elsewhere are left out. */
export const TextBody = ({ text }: { text: string }) => (
  <Words>
    <Markdown disallowedElements={["img"]}>{text}</Markdown>
  </Words>
);
