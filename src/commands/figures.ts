import { DEMO_PASSWORD, FIGURES } from "@/demo";

/** Prints the sign-ins of the demo. */
for (const { login, name, role } of FIGURES)
  process.stdout.write(`  ${login.padEnd(10)} ${name.padEnd(16)} ${role}\n`);
process.stdout.write(`  password of each: ${DEMO_PASSWORD}\n`);
