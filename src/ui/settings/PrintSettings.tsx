"use client";
import { ImageUp } from "lucide-react";
import { useState } from "react";
import { FileTrigger } from "react-aria-components";
import styled from "styled-components";
import { ask, Button, Field, Mast, Page, Purpose, tell, Title } from "../kit";
import { Leaves } from "./Leaves";

const Body = styled.div`
  padding: 18px 32px;
  max-width: 640px;
  display: grid;
  gap: 16px;
  .sheet {
    background: #fff;
    color: #1d1826;
    padding: 14px 18px;
    display: flex;
    gap: 12px;
    align-items: center;
    border-bottom: 3px solid #1d1826;
    font-weight: 650;
    i {
      width: 120px;
      height: 34px;
      background: left / contain no-repeat;
    }
    span {
      margin-left: auto;
      font-weight: 400;
    }
  }
  @media (max-width: 700px) {
    padding: 16px;
  }
`;
const MOST_BYTES = 280_000;

/** The heading and the picture of pages to print, for the whole workspace. */
export function PrintSettings({
  brand,
  workspace,
}: {
  brand: { heading: string; picture: string };
  workspace: string;
}) {
  const [heading, setHeading] = useState(brand.heading);
  const [picture, setPicture] = useState(brand.picture);
  const [error, setError] = useState<string | null>(null);
  const choose = async (file: File | undefined) => {
    if (!file) return;
    if (!["image/png", "image/jpeg"].includes(file.type))
      return setError("A PNG or JPEG is needed.");
    if (file.size > MOST_BYTES)
      return setError("At most 280 KB; make it smaller and choose it again.");
    setError(null);
    setPicture(
      await new Promise<string>((resolve) => {
        const reader = new FileReader();
        reader.onload = () => resolve(String(reader.result));
        reader.readAsDataURL(file);
      }),
    );
  };
  const save = () =>
    ask("setBrand", { heading, picture }).then(
      () => tell("Saved. New prints carry it."),
      (problem: Error) => setError(problem.message),
    );
  return (
    <Page>
      <Mast>
        <Title>Settings</Title>
        <Purpose>What stands at the head of every page to print.</Purpose>
      </Mast>
      <Leaves />
      <Body>
        <Field
          label="Heading"
          value={heading}
          onChange={setHeading}
          placeholder={workspace}
          maxLength={120}
        />
        <div style={{ display: "flex", gap: 8, alignItems: "center" }}>
          <FileTrigger
            acceptedFileTypes={["image/png", "image/jpeg"]}
            onSelect={(files) => void choose(files?.[0])}
          >
            <Button $look="line">
              <ImageUp aria-hidden />
              Choose a picture
            </Button>
          </FileTrigger>
          {picture && <Button onPress={() => setPicture("")}>No picture</Button>}
        </div>
        {error && (
          <p role="alert" style={{ color: "var(--alarm)" }}>
            {error}
          </p>
        )}
        <div className="sheet" aria-label="How it looks">
          {picture && <i aria-hidden style={{ backgroundImage: `url(${picture})` }} />}
          {heading || workspace}
          <span>as of Tue 24 Nov 2026, 15:30</span>
        </div>
        <div>
          <Button $look="solid" onPress={() => void save()}>
            Save
          </Button>
        </div>
      </Body>
    </Page>
  );
}
