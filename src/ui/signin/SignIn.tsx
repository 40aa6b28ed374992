"use client";
import type { DemoFacts } from "@/contract/signIn";
import { ArrowRight } from "lucide-react";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { Button as AriaButton } from "react-aria-components";
import styled from "styled-components";
import type { Problem } from "@/core/base";

import { Button, Field } from "../kit";
import { Cover } from "./Cover";

const People = styled.ul`
  margin: 0 -12px 22px;
  max-width: 460px;
  li + li {
    border-top: 1px solid var(--line);
  }
  button {
    display: flex;
    align-items: center;
    gap: 14px;
    width: 100%;
    padding: 11px 12px;
  }
  button[data-hovered] {
    background: var(--mallow);
  }
  button .initials {
    width: 38px;
    height: 38px;
    background: var(--tide-2);
    color: var(--ink);
    display: grid;
    place-items: center;
    font-weight: 700;
    font-size: 12px;
    border-radius: 3px;
    flex: none;
  }
  button b {
    font: 620 19px/23px var(--serif);
  }
  button .role {
    color: var(--ink-3);
    margin-left: 7px;
  }
  button .arrow {
    margin-left: auto;
    color: var(--plum);
    flex: none;
  }
`;
const Own = styled.form`
  background: var(--sand);
  margin: 0 -44px;
  padding: 18px 44px 24px;
  h2 {
    font: 620 19px/24px var(--serif);
    margin-bottom: 10px;
  }
  .row {
    display: flex;
    gap: 10px;
    align-items: flex-end;
    flex-wrap: wrap;
    max-width: 520px;
  }
  .row > div {
    flex: 1 1 160px;
  }
  .error {
    color: var(--alarm);
    margin-top: 10px;
  }
  @media (max-width: 700px) {
    margin: 0 -20px;
    padding: 18px 20px;
  }
`;

/** Sends the form; on success goes on. @returns the problems, or null when it went well */
export async function enter(body: object, to: string): Promise<readonly Problem[] | null> {
  const reply = await fetch("/api/session", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (!reply)
    return [{ code: "offline", message: "The server cannot be reached. Try again in a moment." }];
  const told = (await reply.json().catch(() => ({}))) as { problems?: Problem[] };
  if (!reply.ok)
    return told.problems ?? [{ code: "failed", message: "Something went wrong on our side." }];
  location.assign(to);
  return null;
}

export function SignIn({
  workspace,
  demo,
  to,
}: {
  workspace: string;
  demo: DemoFacts | null;
  to: string;
}) {
  const { register, handleSubmit, setValue, formState } = useForm<{
    login: string;
    password: string;
  }>({ defaultValues: { login: "", password: "" } });
  const [error, setError] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const submit = async (body: { login: string; password: string }) => {
    setBusy(true);
    const problems = await enter(body, to);
    setError(problems?.[0].message ?? null);
    if (problems) setBusy(false);
  };
  const field = (name: "login" | "password") => {
    const { ref: _ref, onChange: _change, onBlur, ...rest } = register(name);
    return { name: rest.name, onBlur, onChange: (value: string) => setValue(name, value) };
  };
  return (
    <Cover
      title={workspace}
      says={
        demo
          ? "A demo workspace: nine vessels, fourteen landings, all made up. Come in as anyone; each sees what is theirs."
          : "Say what to count; get a figure you can open."
      }
    >
      {demo && (
        <People aria-label="People of the demo">
          {demo.people.map((person) => (
            <li key={person.login}>
              <AriaButton
                isDisabled={isBusy}
                onPress={() => void submit({ login: person.login, password: demo.password })}
              >
                <span className="initials" aria-hidden>
                  {person.name
                    .split(" ")
                    .map((word) => word[0])
                    .join("")}
                </span>
                <span>
                  <b>{person.name}</b>
                  <span className="role">
                    {person.role}, {person.team}
                  </span>
                  <br />
                  {person.says}
                </span>
                <ArrowRight className="arrow" size={18} aria-hidden />
              </AriaButton>
            </li>
          ))}
        </People>
      )}
      <Own onSubmit={(event) => void handleSubmit(submit)(event)} noValidate>
        <h2>{demo ? "Or with your own name" : "Sign in"}</h2>
        <div className="row">
          <Field
            label="Login or mail address"
            {...field("login")}
            autoComplete="username"
            autoFocus={!demo}
          />
          <Field
            label="Password"
            type="password"
            {...field("password")}
            autoComplete="current-password"
          />
          <Button type="submit" $look="line" isDisabled={isBusy || formState.isSubmitting}>
            Come in
          </Button>
        </div>
        {demo && (
          <p style={{ marginTop: 10, color: "var(--ink-2)" }}>
            Everyone here has the password <b>{demo.password}</b>
          </p>
        )}
        <p className="error" role="alert">
          {error}
        </p>
      </Own>
    </Cover>
  );
}
