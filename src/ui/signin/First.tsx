"use client";
import { useState, type FormEvent } from "react";
import type { Problem } from "@/core/base";
import { Button, Field } from "../kit";
import { Cover } from "./Cover";
import { enter } from "./SignIn";

/** Makes the first administrator of an empty workspace. */
export function First() {
  const [given, setGiven] = useState({ workspace: "", name: "", login: "", password: "" });
  const [problem, setProblem] = useState<Problem | null>(null);
  const field = (key: keyof typeof given) => ({
    value: given[key],
    onChange: (value: string) => setGiven({ ...given, [key]: value }),
    error: problem?.path === key ? problem.message : null,
  });
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setProblem((await enter(given, "/settings/imports"))?.[0] ?? null);
  };
  return (
    <Cover
      title="A workspace of your own"
      says="Nothing is in it yet. Make its first administrator; then bring your records in."
    >
      <form
        onSubmit={(event) => void submit(event)}
        style={{ display: "grid", gap: 14, maxWidth: 340, marginTop: 0 }}
        noValidate
      >
        <Field label="What the workspace is called" {...field("workspace")} autoFocus />
        <Field label="Your name" {...field("name")} autoComplete="name" />
        <Field label="Your login" {...field("login")} autoComplete="username" />
        <Field
          label="Password, 8 characters or more"
          type="password"
          {...field("password")}
          autoComplete="new-password"
        />
        {problem && !problem.path && (
          <p role="alert" style={{ color: "var(--alarm)" }}>
            {problem.message}
          </p>
        )}
        <div>
          <Button type="submit" $look="solid">
            Begin
          </Button>
        </div>
      </form>
    </Cover>
  );
}
