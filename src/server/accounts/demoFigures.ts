import { DEMO_PASSWORD, FIGURES } from "@/demo";

/** Whom the sign-in page of a demo workspace offers, and their password. */
export const demoFigures = () => ({ password: DEMO_PASSWORD, people: FIGURES.map(({ login, name, role, team, says }) => ({ login, name, role, team, says })) });
