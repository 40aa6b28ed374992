import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { crc32 } from "node:zlib";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { readBundleFiles, UnreadableBundle, writeRefused, writeStatusTemplate } from "@/data";

const folder = (files: Record<string, string>): string => {
  const at = mkdtempSync(join(tmpdir(), "files-"));
  for (const [name, text] of Object.entries(files)) writeFileSync(join(at, name), text);
  return at;
};

/** A zip of one stored file (APPNOTE.TXT 4.3: local header, central directory, its end). */
function zipOf(name: string, data: Buffer): Buffer {
  const shared = Buffer.alloc(26);
  shared.writeUInt16LE(20, 0);
  shared.writeUInt32LE(crc32(data), 10);
  shared.writeUInt32LE(data.length, 14);
  shared.writeUInt32LE(data.length, 18);
  shared.writeUInt16LE(name.length, 22);
  const local = Buffer.concat([Buffer.from("PK\u0003\u0004"), shared, Buffer.from(name), data]);
  const central = Buffer.concat([
    Buffer.from("PK\u0001\u0002"),
    Buffer.from([20, 0]),
    shared,
    Buffer.alloc(14),
    Buffer.from(name),
  ]);
  const end = Buffer.alloc(18);
  end.writeUInt16LE(1, 4);
  end.writeUInt16LE(1, 6);
  end.writeUInt32LE(central.length, 8);
  end.writeUInt32LE(local.length, 12);
  return Buffer.concat([local, central, Buffer.from("PK\u0005\u0006"), end]);
}

describe("reading the files of a bundle", () => {
  test("line breaks in cells, quotes and a byte order mark are read; lines are counted as in the file", async () => {
    const raw = await readBundleFiles(
      folder({ "items.csv": '\ufeffkey,title\nA1,"two\nlines"\nA2,"say ""hi"""\n' }),
    );
    expect(raw.items).toEqual({
      columns: ["key", "title"],
      rows: [
        ["A1", "two\nlines"],
        ["A2", 'say "hi"'],
      ],
      lines: [2, 4],
    });
  });
  test("a file may have tabs instead of commas", async () => {
    const raw = await readBundleFiles(folder({ "items.tsv": "key\ttitle\nA1\ta, b\n" }));
    expect(raw.items!.rows).toEqual([["A1", "a, b"]]);
  });
  test("files of other names are left alone", async () => {
    const raw = await readBundleFiles(
      folder({ "items.csv": "key\nA1\n", "notes.txt": "hello", "other.csv": "a\n1\n" }),
    );
    expect(Object.keys(raw)).toEqual(["items"]);
  });
  test("a zip of a folder is read like the folder", async () => {
    const at = folder({ "items.csv": "key,title\nA1,One\n" });
    writeFileSync(join(at, "b.zip"), zipOf("mine/items.csv", readFileSync(join(at, "items.csv"))));
    expect((await readBundleFiles(join(at, "b.zip"))).items!.rows).toEqual([["A1", "One"]]);
  });
  test.each([
    ["a folder without items", { "people.csv": "login\nines\n" }, /has no items\.csv/],
    ["a file without a header", { "items.csv": "" }, /has no header row/],
    [
      "a quote that is not closed",
      { "items.csv": 'key,title\nA1,"open\n' },
      /cannot be read as a table/,
    ],
  ])("%s is told so", async (_name, files, says) => {
    const reading = readBundleFiles(folder(files as Record<string, string>));
    await expect(reading).rejects.toThrow(UnreadableBundle);
    await expect(reading).rejects.toThrow(says);
  });
  test("what is not there is told so", async () => {
    await expect(readBundleFiles("/nowhere/at/all")).rejects.toThrow(/there is no/);
  });
  test("what is no zip is told so", async () => {
    await expect(readBundleFiles(join(folder({ "b.zip": "no zip" }), "b.zip"))).rejects.toThrow(
      /neither a folder nor a zip/,
    );
  });
});

test("refused rows are written as they came, with their reasons", async () => {
  const at = folder({});
  const raw = {
    items: {
      columns: ["key", "title"],
      rows: [
        ["A1", "=cmd()"],
        ["", "x"],
      ],
    },
  };
  await writeRefused(at, raw, [
    { table: "items", line: 3, column: "key", reason: "key is missing", row: ["", "x"] },
  ]);
  expect(readFileSync(join(at, "items.csv"), "utf8")).toBe(
    'key,title,reason\n,x,"line 3, key: key is missing"\n',
  );
});

test("a template for statuses can be brought along as it is", async () => {
  const at = folder({});
  await writeStatusTemplate(at, [{ status: 'Half, "way"', guess: "under way" }]);
  const raw = await readBundleFiles((writeFileSync(join(at, "items.csv"), "key\nA1\n"), at));
  expect(raw.statuses).toEqual({
    columns: ["status", "stage", "position", "paused", "workflow"],
    rows: [['Half, "way"', "under way", "1", "no", ""]],
  });
});
