"use client";
import type { MailingLine, MailLine } from "@/contract/mail";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Mail, Paperclip, RefreshCw } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import styled from "styled-components";
import { integerText } from "@/core/base";
import type { Thing } from "@/core/catalog";

import { Mailing } from "../handing";
import { ask, Button, Empty, Mast, Page, Purpose, tell, Title, useMoments } from "../kit";

const Leaves = styled.div`
  display: flex;
  gap: 4px;
  padding: 0 32px;
  background: var(--sand);
  button {
    padding: 9px 14px;
    font-weight: 600;
    color: var(--plum);
  }
  button[aria-pressed="true"] {
    background: var(--paper);
    color: var(--ink);
  }
  @media (max-width: 700px) {
    padding: 0 16px;
  }
`;
const Rows = styled.ul`
  padding: 8px 32px;
  max-width: 1020px;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 230px auto;
    gap: 16px;
    align-items: center;
    border-top: 1px solid var(--line);
    padding: 8px 12px;
    margin: 0 -12px;
    min-height: 62px;
  }
  li:hover {
    background: var(--mallow);
  }
  .name {
    font: 560 19px/24px var(--serif);
    color: var(--ink);
  }
  small {
    display: block;
    color: var(--ink-2);
    font-size: 13px;
  }
  .acts {
    display: flex;
    gap: 4px;
  }
  @media (max-width: 700px) {
    padding: 8px 16px;
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;
const Room = styled.div`
  display: grid;
  grid-template-columns: 340px minmax(0, 1fr);
  flex: 1;
  min-height: 0;
  .box {
    background: var(--mallow);
    overflow: auto;
    max-height: calc(100vh - 118px);
  }
  .box > button {
    display: block;
    width: 100%;
    padding: 9px 20px 9px 32px;
    border-top: 1px solid var(--mallow-2);
  }
  .box > button:hover {
    background: var(--mallow-2);
  }
  .box > button[aria-pressed="true"] {
    background: var(--salt);
    box-shadow: inset 4px 0 0 var(--plum);
  }
  .box b {
    font-weight: 650;
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .box small {
    color: var(--ink-2);
    font-size: 12.5px;
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .mail {
    background: var(--salt);
    padding: 20px 32px;
    overflow: auto;
    max-height: calc(100vh - 118px);
    min-width: 0;
  }
  .mail h2 {
    font: 560 25px/31px var(--serif);
  }
  .mail p {
    white-space: pre-wrap;
    font: 400 17px/25px var(--serif);
    max-width: 70ch;
    margin-top: 14px;
    overflow-wrap: anywhere;
  }
  .mail dl {
    color: var(--ink-2);
    margin: 6px 0 0;
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0 12px;
    dd {
      margin: 0;
    }
  }
  .files {
    display: flex;
    gap: 8px;
    flex-wrap: wrap;
    margin-top: 14px;
  }
  .files a {
    display: inline-flex;
    gap: 8px;
    align-items: center;
    background: var(--tide);
    padding: 8px 12px;
    font-weight: 600;
  }
  @media (max-width: 800px) {
    grid-template-columns: minmax(0, 1fr);
    .box,
    .mail {
      max-height: none;
    }
  }
`;

interface MailingsProps {
  readonly mailings: readonly MailingLine[];
  readonly mails: readonly MailLine[];
  readonly people: readonly Thing[];
  readonly teams: readonly Thing[];
  readonly mayBuild: boolean;
  readonly seesAll: boolean;
}

/** What goes out by mail and when, and the mail room in which all of it arrives. */
export function Mailings({
  mailings: first,
  mails,
  people,
  teams,
  mayBuild,
  seesAll,
}: MailingsProps) {
  const [leaf, setLeaf] = useState<"out" | "room">(mayBuild ? "out" : "room");
  const { data: mailings } = useQuery({
    queryKey: ["mailings"],
    queryFn: ({ signal }) => ask("mailings", {}, signal),
    initialData: [...first],
    enabled: mayBuild,
    refetchInterval: 20_000,
  });
  return (
    <Page>
      <Mast>
        <Title>Mailings</Title>
        <Purpose>Reports as PDF, by the clock. Everyone gets what they may see themselves.</Purpose>
      </Mast>
      <Leaves role="group" aria-label="What is shown">
        {mayBuild && (
          <button aria-pressed={leaf === "out"} onClick={() => setLeaf("out")}>
            Going out · {mailings.length}
          </button>
        )}
        <button aria-pressed={leaf === "room"} onClick={() => setLeaf("room")}>
          Mail room
        </button>
      </Leaves>
      {leaf === "out" ? (
        <GoingOut mailings={mailings} people={people} teams={teams} />
      ) : (
        <MailRoom first={mails} seesAll={seesAll} />
      )}
    </Page>
  );
}

function GoingOut({
  mailings,
  people,
  teams,
}: {
  mailings: readonly MailingLine[];
  people: readonly Thing[];
  teams: readonly Thing[];
}) {
  const moments = useMoments();
  const client = useQueryClient();
  const [changed, setChanged] = useState<MailingLine | null>(null);
  const act = async (what: "sendMailing" | "dropMailing", id: number, says: string) => {
    await ask(what, { id }).then(
      () => tell(says),
      (error: Error) => tell(error.message),
    );
    await client.invalidateQueries({ queryKey: ["mailings"] });
  };
  if (mailings.length === 0)
    return <Empty says="Nothing goes out yet. Open a saved report and choose Mail." />;
  const names = ({ teams: toTeams, people: toPeople }: MailingLine) =>
    [
      ...toTeams.map((id) => teams.find((one) => one.id === id)?.name),
      ...toPeople.map((id) => people.find((one) => one.id === id)?.name),
    ]
      .filter(Boolean)
      .join(", ");
  return (
    <>
      <Rows>
        {mailings.map((line) => (
          <li key={line.id}>
            <div style={{ minWidth: 0 }}>
              <Link className="name" href={`/${line.kind}s/${line.target}`}>
                {line.name || "A report that is gone"}
              </Link>
              <small>
                {line.says}, to {names(line) || "nobody"}
                {line.skipEmpty ? ", skipped when empty" : ""}
              </small>
            </div>
            <div>
              <small>next {line.nextAt ? moments.time(line.nextAt) : "never"}</small>
              <small>
                last {line.lastAt ? moments.time(line.lastAt) : "never"}
                {line.lastSaid ? `: ${line.lastSaid}` : ""}
              </small>
            </div>
            {line.mayChange ? (
              <div className="acts">
                <Button
                  $small
                  onPress={() => void act("sendMailing", line.id, "It goes out within a minute.")}
                >
                  Send now
                </Button>
                <Button $small onPress={() => setChanged(line)}>
                  Change
                </Button>
                <Button
                  $small
                  onPress={() =>
                    void act("dropMailing", line.id, `${line.name} is not mailed any more.`)
                  }
                >
                  Stop
                </Button>
              </div>
            ) : (
              <small>{line.owner}</small>
            )}
          </li>
        ))}
      </Rows>
      {changed && (
        <Mailing
          kind={changed.kind}
          target={changed.target}
          name={changed.name}
          people={people}
          teams={teams}
          kept={changed}
          isOpen
          onClose={() => setChanged(null)}
        />
      )}
    </>
  );
}

function MailRoom({ first, seesAll }: { first: readonly MailLine[]; seesAll: boolean }) {
  const moments = useMoments();
  const {
    data: mails,
    refetch,
    isFetching,
    error,
  } = useQuery({
    queryKey: ["mails"],
    queryFn: ({ signal }) => ask("mails", {}, signal),
    initialData: [...first],
    refetchInterval: 15_000,
  });
  const [id, setId] = useState<number | null>(null);
  const mail = mails.find((one) => one.id === id) ?? mails[0];
  if (!mail)
    return (
      <Empty says={seesAll ? "No mail yet. What is mailed arrives here." : "No mail for you yet."}>
        <Button $look="line" onPress={() => void refetch()}>
          Look again
        </Button>
      </Empty>
    );
  return (
    <Room>
      <nav className="box" aria-label="Mails">
        <div
          style={{
            padding: "6px 20px 6px 32px",
            display: "flex",
            alignItems: "center",
            color: "var(--ink-2)",
          }}
        >
          <Mail size={16} aria-hidden />
          &nbsp; {integerText(mails.length)} {seesAll ? "in the mail room" : "for you"}
          <span style={{ marginLeft: "auto" }} />
          <Button
            $small
            $icon
            aria-label="Look again"
            isDisabled={isFetching}
            onPress={() => void refetch()}
          >
            <RefreshCw aria-hidden />
          </Button>
        </div>
        {mails.map((one) => (
          <button key={one.id} aria-pressed={one.id === mail.id} onClick={() => setId(one.id)}>
            <b>{one.subject || "no subject"}</b>
            <small>to {one.to.join(", ")}</small>
            <small>
              {moments.time(one.receivedAt)}
              {one.attachments.length
                ? ` · ${one.attachments.length === 1 ? "1 file" : `${one.attachments.length} files`}`
                : ""}
            </small>
          </button>
        ))}
      </nav>
      <article className="mail" aria-label={mail.subject} tabIndex={0}>
        {error && <p role="alert">{error.message}</p>}
        <h2>{mail.subject || "no subject"}</h2>
        <dl>
          <dt>From</dt>
          <dd>{mail.from}</dd>
          <dt>To</dt>
          <dd>{mail.to.join(", ")}</dd>
          <dt>At</dt>
          <dd>{moments.time(mail.receivedAt)}</dd>
        </dl>
        {mail.attachments.length > 0 && (
          <div className="files">
            {mail.attachments.map((file) => (
              <a key={file.id} href={`/api/mail/${file.id}`}>
                <Paperclip size={16} aria-hidden />
                {file.name}
                <span style={{ fontWeight: 400, color: "var(--ink-2)" }}>
                  {integerText(Math.ceil(file.bytes / 1024))} KB
                </span>
              </a>
            ))}
          </div>
        )}
        <p>{mail.text}</p>
      </article>
    </Room>
  );
}
