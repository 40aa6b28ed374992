import { newSession } from "@/data";
import { makeToken } from "@/server/accounts/tokens";
import { runCommand } from "./run";

/** bin/token LOGIN */
runCommand(async () => {
  const [login] = process.argv.slice(2);
  if (!login) throw new Error("say for whom: bin/token LOGIN");
  const token = await makeToken(await newSession(), login, "made by bin/token");
  if (!token) throw new Error(`nobody active has the login ${login}`);
  process.stdout.write(`${token}\n`);
});
