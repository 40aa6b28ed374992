import { definitionSchema } from "@/server/web";

/** The JSON Schema of definition files; open to anyone. */
export const GET = (): Response =>
  Response.json(definitionSchema(), { headers: { "content-type": "application/schema+json" } });
