import { readFileSync } from "node:fs";
import { definitionSchema } from "@/server/definitions/definitionFile";

test("the published schema of definition files is that of the application", () => {
  expect(JSON.parse(readFileSync("docs/definition.schema.json", "utf8"))).toEqual(
    JSON.parse(JSON.stringify(definitionSchema())),
  );
});
