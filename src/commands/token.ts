import { newSession } from "@/data";
import { makeToken, TOKEN_DAYS } from "@/server/accounts/tokens";
import { runCommand } from "./run";

/** bin/token LOGIN [DAYS] */
runCommand(async () => {
  const [login, said] = process.argv.slice(2);
  if (!login) throw new Error("say for whom: bin/token LOGIN");
  const days = said === undefined ? TOKEN_DAYS : Number(said);
  if (!Number.isInteger(days) || days < 1 || days > 3650)
    throw new Error("a token is good for 1 to 3650 days: bin/token LOGIN DAYS");
  const token = await makeToken(await newSession(), login, "made by bin/token", days);
  if (!token) throw new Error(`nobody active has the login ${login}`);
  process.stdout.write(`${token}\n`);
});
