"use client";
import { Empty, Mast, Page, Title } from "../kit";

export const NoSprints = () => (
  <Page>
    <Mast>
      <Title>Sprints</Title>
    </Mast>
    <Empty says="There are no sprints yet. They come with an import: sprints.csv has a line for each." />
  </Page>
);
