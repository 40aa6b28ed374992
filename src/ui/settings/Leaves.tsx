"use client";
import Link from "next/link";
import { usePathname } from "next/navigation";
import styled from "styled-components";

const Row = styled.nav`
  background: var(--sand);
  padding: 0 32px;
  display: flex;
  gap: 4px;
  a {
    padding: 9px 14px;
    font-weight: 600;
    color: var(--plum);
  }
  a[aria-current="page"] {
    background: var(--paper);
    color: var(--ink);
  }
`;

/** The pages of the settings. */
export function Leaves() {
  const path = usePathname();
  const leaf = (href: string, words: string) => (
    <Link href={href} aria-current={path === href ? "page" : undefined}>
      {words}
    </Link>
  );
  return (
    <Row aria-label="Settings">
      {leaf("/settings/people", "People")}
      {leaf("/settings/imports", "Bring items in")}
      {leaf("/settings/print", "Print")}
      {leaf("/settings/words", "Words")}
    </Row>
  );
}
