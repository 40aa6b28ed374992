"use client";
import { useState, type FormEvent } from "react";
import { Button, Checkbox, Field } from "../kit";
import { Cover } from "./Cover";
import { enter } from "./SignIn";

/** Takes up an invitation by choosing a password. */
export function Invited({
  secret,
  name,
  login,
}: {
  secret: string;
  name: string | null;
  login: string | null;
}) {
  const [password, setPassword] = useState("");
  const [endsTokens, setEndsTokens] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setError((await enter({ secret, password, endsTokens }, "/"))?.[0].message ?? null);
  };
  if (!name)
    return (
      <Cover
        title="This link is over"
        says="It was used already, or its time is over. Ask an administrator for a new one."
      >
        {null}
      </Cover>
    );
  return (
    <Cover
      title={`Welcome, ${name}`}
      says={`Your login is ${login}. Choose a password, and you are in.`}
    >
      <form
        onSubmit={(event) => void submit(event)}
        style={{ display: "grid", gap: 14, maxWidth: 340, marginTop: 0 }}
      >
        <Field
          label="New password, 8 characters or more"
          type="password"
          value={password}
          onChange={setPassword}
          error={error}
          autoComplete="new-password"
          autoFocus
        />
        <Checkbox isSelected={endsTokens} onChange={setEndsTokens}>
          Programs that act for me have to be let in anew
        </Checkbox>
        <div>
          <Button type="submit" $look="solid">
            Come in
          </Button>
        </div>
      </form>
    </Cover>
  );
}
