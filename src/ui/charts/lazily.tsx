"use client";
import { lazy, type ComponentType, type LazyExoticComponent } from "react";
import styled from "styled-components";

/** A part of charts that is fetched when it is drawn for the first time. */
export const drawing = <P,>(
  load: () => Promise<ComponentType<P>>,
): LazyExoticComponent<ComponentType<P>> => lazy(async () => ({ default: await load() }));

/** The room that a drawing will take, while it comes. */
export const Pending = () => <Room data-pending />;

const Room = styled.div`
  flex: 1;
  min-height: 120px;
`;
