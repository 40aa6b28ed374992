"use client";
import { Empty, Mast, Page, Title } from "../kit";

export const NoReleases = () => (
  <Page>
    <Mast>
      <Title>Releases</Title>
    </Mast>
    <Empty says="There are no releases yet. They come with an import: releases.csv has a line for each, and items name the one they belong to." />
  </Page>
);
