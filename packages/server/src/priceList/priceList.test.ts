import { newPriceItem, type PriceItem, priceItemSchema } from "@wide-porch/core";
import { type Agent, addCompany, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
let juno: Agent;
let stranger: Agent;

beforeAll(async () => {
  server = await startTestServer();
  await addCompany(server.dataSource, "isolde@dunnock.example");
  ros = await server.signedInAs("ros@fernhollow.example");
  juno = await server.signedInAs("juno@fernhollow.example");
  stranger = await server.signedInAs("isolde@dunnock.example");
});
afterAll(() => server.stop());

const item = (code: string, price: string, more: Partial<PriceItem> = {}): PriceItem =>
  priceItemSchema.parse({
    ...newPriceItem(code, "imperial", { by: "each", price }),
    name: `Item ${code}`,
    supplier: "Marlcroft Hardware (invented)",
    priceDate: "2026-12-01",
    ...more,
  });
const at = (code: string, rest = "") => `/api/v1/price-list/${encodeURIComponent(code)}${rest}`;
const make = (made: PriceItem) => ros.post("/api/v1/price-list").send({ item: made });
const change = (baseRevision: number, changed: PriceItem) =>
  ros.put(at(changed.code)).send({ baseRevision, item: changed });
const take = (changes: readonly { baseRevision: number; item: PriceItem }[]) =>
  ros.post("/api/v1/price-batches").send({ fromWhere: "prices.csv", changes });
const now = async (code: string, who = ros) => {
  const { body } = await who.get("/api/v1/price-list").expect(200);
  return body.items.find((each: { item: PriceItem }) => each.item.code === code);
};

describe("an item of the price list", () => {
  it("is made, changed and retired; each of it stays in its history with who and when", async () => {
    await make(item("own/socket", "3.40")).expect(201);
    await change(1, item("own/socket", "3.60")).expect(200);
    await change(2, item("own/socket", "3.60", { retired: true })).expect(200);
    expect(await now("own/socket")).toMatchObject({ revision: 3, item: { retired: true } });
    const { body } = await ros.get(at("own/socket", "/history")).expect(200);
    expect(
      body.items.map((each: { revision: number; by: string; item: PriceItem }) => [
        each.revision,
        each.by,
        each.item.buying,
      ]),
    ).toEqual([
      [3, "Ros Adeyemi-Lund", { by: "each", price: "3.60" }],
      [2, "Ros Adeyemi-Lund", { by: "each", price: "3.60" }],
      [1, "Ros Adeyemi-Lund", { by: "each", price: "3.40" }],
    ]);
  });

  it("that was there before anybody changed it has that in its history too", async () => {
    const before = await now("nail/8d");
    await change(before.revision, { ...before.item, wastePercent: 7 }).expect(200);
    const { body } = await ros.get(at("nail/8d", "/history")).expect(200);
    expect(body.items).toMatchObject([{ item: { wastePercent: 7 } }, { by: "", item: before.item }]);
  });

  it("is not made twice, in other capitals either, nor by two at the same moment", async () => {
    await make(item("own/lamp", "9.00")).expect(201);
    expect((await make(item("own/lamp", "8.00")).expect(409)).body.detail).toContain("already");
    expect((await make(item("OWN/Lamp", "8.00")).expect(422)).body.detail).toContain("too little");
    const both = await Promise.all([make(item("own/both", "1.00")), make(item("own/both", "2.00"))]);
    expect(both.map(({ status }) => status).toSorted()).toEqual([201, 409]);
    expect((await now("own/lamp")).item.buying.price).toBe("9.00");
  });

  it("is nobody's whose company it is not, and nothing for crew to change or look back in", async () => {
    expect(await now("own/lamp", stranger)).toBeUndefined();
    await stranger
      .put(at("own/lamp"))
      .send({ baseRevision: 1, item: item("own/lamp", "0.01") })
      .expect(404);
    expect((await stranger.get(at("own/lamp", "/history")).expect(200)).body.items).toEqual([]);
    await juno
      .post("/api/v1/price-list")
      .send({ item: item("own/crew", "1.00") })
      .expect(403);
    await juno.get(at("own/lamp", "/history")).expect(403);
    expect(JSON.stringify((await now("own/lamp", juno)).item)).not.toContain("9.00");
  });

  it("of no name, a price below nothing or a code too long is refused", async () => {
    for (const wrong of [
      { name: "" },
      { buying: { by: "each", price: "-1" } },
      { code: "x".repeat(81) },
      { priceDate: "soon" },
    ])
      await ros
        .post("/api/v1/price-list")
        .send({ item: { ...item("own/wrong", "1.00"), ...wrong } })
        .expect(422);
  });
});

describe("items taken together", () => {
  it("are all taken or none: one that changed meanwhile leaves the others as they were", async () => {
    await make(item("many/a", "1.00")).expect(201);
    await make(item("many/b", "1.00")).expect(201);
    const answer = await take([
      { baseRevision: 1, item: item("many/a", "2.00") },
      { baseRevision: 7, item: item("many/b", "2.00") },
    ]).expect(409);
    expect(answer.body.detail).toContain("“many/b” changed in the meantime. Nothing was taken.");
    expect((await now("many/a")).item.buying.price).toBe("1.00");
  });

  it("are put back by one press; what was new is retired, what was changed since stays and is named", async () => {
    const { body: batch } = await take([
      { baseRevision: 1, item: item("many/a", "2.00") },
      { baseRevision: 1, item: item("many/b", "3.00") },
      { baseRevision: 0, item: item("many/c", "4.00") },
    ]).expect(201);
    expect(batch).toMatchObject({ itemCount: 3, by: "Ros Adeyemi-Lund", undoneAt: null });
    await change(2, item("many/b", "3.30")).expect(200);
    const { body } = await ros.post(`/api/v1/price-batches/${batch.id}/undo`).send({}).expect(200);
    expect(body.left).toEqual(["many/b"]);
    expect((await now("many/a")).item.buying.price).toBe("1.00");
    expect((await now("many/b")).item.buying.price).toBe("3.30");
    expect((await now("many/c")).item).toMatchObject({ retired: true, buying: { price: "4.00" } });
    await ros.post(`/api/v1/price-batches/${batch.id}/undo`).send({}).expect(409);
    const { body: list } = await ros.get("/api/v1/price-batches").expect(200);
    expect(list.items[0]).toMatchObject({ id: batch.id, undoneAt: expect.any(String) });
  });

  it("are refused where one is in it twice, there is none, or crew send it; another company's is not there", async () => {
    const twice = { baseRevision: 0, item: item("many/t", "1.00") };
    await take([twice, twice]).expect(422);
    await take([]).expect(422);
    await take([twice, { ...twice, item: item("MANY/T", "1.00") }]).expect(422);
    await juno
      .post("/api/v1/price-batches")
      .send({ fromWhere: "x", changes: [twice] })
      .expect(403);
    await juno.get("/api/v1/price-batches").expect(403);
    const [first] = (await ros.get("/api/v1/price-batches")).body.items;
    await stranger.post(`/api/v1/price-batches/${first.id}/undo`).send({}).expect(404);
    expect((await stranger.get("/api/v1/price-batches")).body.items).toEqual([]);
  });

  it("may be some thousands", async () => {
    const many = Array.from({ length: 3000 }, (_, index) => ({ baseRevision: 0, item: item(`bulk/${index}`, "1.00") }));
    await take(many).expect(201);
    expect((await now("bulk/2999")).revision).toBe(1);
  });
});
