"use client";
import type { PersonLine } from "@/contract/workspace";
import { Link2 } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";

import { ask, Button, Field, laterDialog, Mast, Page, Purpose, tell, Title } from "../kit";
import { Leaves } from "./Leaves";
import { linesOfTable } from "./tableStyle";

const InviteLink = laterDialog(() => import("./InviteLink"), "InviteLink");

const Table = styled.table`
  margin: 12px 32px 40px;
  width: min(980px, calc(100% - 64px));
  ${linesOfTable}
  @media (max-width: 700px) {
    margin: 12px 16px;
    width: calc(100% - 32px);
    td:nth-child(4),
    th:nth-child(4) {
      display: none;
    }
  }
`;

/** Everyone, and the one-time links by which they come in. */
export function People({ people }: { people: readonly PersonLine[] }) {
  const [words, setWords] = useState("");
  const [link, setLink] = useState<{ name: string; href: string } | null>(null);
  const found = people.filter((person) =>
    `${person.name} ${person.login} ${person.team ?? ""} ${person.role}`
      .toLowerCase()
      .includes(words.trim().toLowerCase()),
  );
  const invite = async (person: PersonLine) => {
    try {
      const secret = await ask("invite", { id: person.id });
      setLink({ name: person.name, href: `${location.origin}/invite/${secret}` });
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <Page>
      <Mast>
        <Title>Settings</Title>
        <Purpose>
          {people.length} people; {people.filter((person) => person.hasAccount).length} may sign in.
        </Purpose>
      </Mast>
      <Leaves />
      <div style={{ padding: "14px 32px 0", maxWidth: 420 }}>
        <Field label="Find somebody" value={words} onChange={setWords} />
      </div>
      <Table>
        <thead>
          <tr>
            <th>Name</th>
            <th>Login</th>
            <th>Role</th>
            <th>Team</th>
            <th>Sign-in</th>
            <th>
              <span className="none" />
            </th>
          </tr>
        </thead>
        <tbody>
          {found.slice(0, 300).map((person) => (
            <tr key={person.id}>
              <td>{person.name}</td>
              <td>{person.login}</td>
              <td>{person.role}</td>
              <td>{person.team ?? "none"}</td>
              <td>
                {!person.active
                  ? "not active"
                  : person.hasAccount
                    ? "has a password"
                    : "not yet invited in"}
              </td>
              <td>
                {person.active && (
                  <Button $small onPress={() => void invite(person)}>
                    <Link2 aria-hidden />
                    {person.hasAccount ? "Link for a new password" : "Invite"}
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {found.length === 0 && <p style={{ padding: "0 32px" }}>Nobody is called that.</p>}
      {link && <InviteLink {...link} isOpen onClose={() => setLink(null)} />}
    </Page>
  );
}
