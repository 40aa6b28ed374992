"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";
import type { WordsShown } from "@/contract/questions";
import { ask, Button, Empty, Field, Mast, Page, Purpose, tell, Title } from "../kit";
import { Leaves } from "./Leaves";
import { linesOfTable } from "./tableStyle";

const Body = styled.div`
  padding: 16px 32px 60px;
  max-width: 980px;
  display: grid;
  gap: 14px;
  h2 {
    font: 560 22px/30px var(--serif);
    margin-top: 10px;
  }
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 2fr) auto;
    gap: 14px;
    align-items: start;
    background: var(--mallow);
    padding: 14px 16px;
  }
  form > button {
    margin-top: 22px;
  }
  table {
    width: 100%;
    ${linesOfTable}
  }
  td:last-child {
    text-align: right;
  }
  @media (max-width: 700px) {
    padding: 12px 16px;
    form {
      grid-template-columns: 1fr;
    }
    form > button {
      margin-top: 0;
    }
  }
`;

/** What the desk's own words mean in a question, and the questions that were not understood for sure. */
export function Words({ shown }: { shown: WordsShown }) {
  const router = useRouter();
  const [words, setWords] = useState("");
  const [means, setMeans] = useState("");
  const [error, setError] = useState<string | null>(null);
  const teach = async () => {
    try {
      await ask("teach", { words, means, forAll: true });
      setWords("");
      setMeans("");
      setError(null);
      router.refresh();
    } catch (failure) {
      setError((failure as Error).message);
    }
  };
  const forget = async (id: number) => {
    try {
      await ask("forget", { id });
      router.refresh();
    } catch (failure) {
      tell((failure as Error).message);
    }
  };
  const forAll = shown.taught.filter(({ isForAll }) => isForAll);
  return (
    <Page>
      <Mast>
        <Title>Words of the desk</Title>
        <Purpose>What people here say, and the condition that they mean by it.</Purpose>
      </Mast>
      <Leaves />
      <Body>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void teach();
          }}
        >
          <Field label="Words" placeholder="the portal" value={words} onChange={setWords} />
          <Field
            label="Mean"
            placeholder="service is any of (Payments, Fares)"
            value={means}
            onChange={setMeans}
            error={error}
          />
          <Button type="submit" $look="solid" isDisabled={!words.trim() || !means.trim()}>
            Teach
          </Button>
        </form>
        {forAll.length === 0 ? (
          <Empty says="Nothing has been taught yet." />
        ) : (
          <table aria-label="Words for everyone">
            <thead>
              <tr>
                <th scope="col">Words</th>
                <th scope="col">Mean</th>
                <th scope="col">Said by</th>
                <th scope="col" aria-label="Acts" />
              </tr>
            </thead>
            <tbody>
              {forAll.map((one) => (
                <tr key={one.id}>
                  <td>{one.words}</td>
                  <td>{one.means}</td>
                  <td>{one.by}</td>
                  <td>
                    <Button $small onPress={() => void forget(one.id)}>
                      Forget
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <h2>Questions that were in doubt</h2>
        {shown.doubted.length === 0 ? (
          <Empty says="Every question so far was understood." />
        ) : (
          <table aria-label="Questions in doubt">
            <thead>
              <tr>
                <th scope="col">Question</th>
                <th scope="col">Opened in the end</th>
                <th scope="col">Asked by</th>
                <th scope="col" aria-label="Acts" />
              </tr>
            </thead>
            <tbody>
              {shown.doubted.map((one) => (
                <tr key={one.id}>
                  <td>{one.question}</td>
                  <td>{one.chosen ?? "nothing"}</td>
                  <td>{one.by}</td>
                  <td>
                    <Button $small onPress={() => setWords(one.question.slice(0, 60))}>
                      Teach a word of it
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Body>
    </Page>
  );
}
