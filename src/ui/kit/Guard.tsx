"use client";
import { Component, type ReactNode } from "react";
import { Notice } from "./Notice";

interface GuardProps {
  /** What failed, as in "This picture could not be drawn". */
  readonly what: string;
  /** When this changes, it is tried again. */
  readonly reset: unknown;
  readonly children: ReactNode;
}

/** Keeps a fault in drawing one part of a page in its place. */
export class Guard extends Component<GuardProps, { readonly failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override componentDidUpdate(before: GuardProps) {
    if (this.state.failed && before.reset !== this.props.reset) this.setState({ failed: false });
  }

  override render() {
    return this.state.failed ? (
      <Notice role="alert">
        {this.props.what} could not be drawn. Its table and its records are there all the same.
      </Notice>
    ) : (
      this.props.children
    );
  }
}
