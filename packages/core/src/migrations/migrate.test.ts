import { type Migration, migrate } from "./migrate";

const steps: Migration[] = [
  { to: 3, name: "third", up: (record) => ({ ...record, third: true }) },
  { to: 2, name: "second", up: (record) => ({ ...record, second: record.first }) },
];

describe("migrate", () => {
  it("lifts an old record step by step, in order", () => {
    expect(migrate({ schemaVersion: 1, first: 7 }, steps)).toEqual({
      ok: true,
      value: { schemaVersion: 3, first: 7, second: 7, third: true },
    });
  });

  it("leaves a current record, and what is no record, as they are", () => {
    expect(migrate({ schemaVersion: 3 }, steps)).toEqual({ ok: true, value: { schemaVersion: 3 } });
    expect(migrate("text", steps)).toEqual({ ok: true, value: "text" });
  });

  it.each([0, -1, 1.5, "1", null, {}, Number.NaN])(
    "refuses a record of version %p: lifted again it would be another",
    (schemaVersion) => {
      expect(migrate({ schemaVersion, first: 7 }, steps)).toMatchObject({ ok: false, problem: { code: "no-version" } });
    },
  );

  it("lifts a record from before there were versions from the first", () => {
    expect(migrate({ first: 7 }, steps)).toMatchObject({ ok: true, value: { schemaVersion: 3, second: 7 } });
  });

  it("refuses a record from a newer program", () => {
    expect(migrate({ schemaVersion: 4 }, steps)).toMatchObject({ ok: false, problem: { code: "too-new" } });
  });
});
