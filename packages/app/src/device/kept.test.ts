import { z } from "zod";
import { ApiProblem, ask, NoAnswer } from "../api/client";
import { askKept, keepAnswer, keepFor } from "./kept";
import { memoryStore } from "./memoryStore";

jest.mock("../api/client", () => ({ ...jest.requireActual("../api/client"), ask: jest.fn() }));
const mockStore = memoryStore();
jest.mock("./store", () => ({
  get deviceStore() {
    return mockStore;
  },
}));

const asked = jest.mocked(ask);
const schema = z.object({ title: z.string() });
const settled = () => new Promise((resolve) => setTimeout(resolve, 0));

beforeEach(() => {
  asked.mockReset();
  keepFor(`person ${Math.random()}`);
});

describe("answers kept on the device", () => {
  it("are the server's while it answers", async () => {
    asked.mockResolvedValueOnce({ title: "fresh" });
    expect(await askKept(schema, "/jobs/1", "/jobs/1")).toEqual({ title: "fresh" });
  });

  it("spare what the device has already: it is named when asking, put back into the answer, and kept with it", async () => {
    const listed = z.object({ names: z.array(z.string()) });
    const sparing = {
      query: ({ names }: z.infer<typeof listed>) => `?known=${names.join(",")}`,
      merge: (came: z.infer<typeof listed>, known: z.infer<typeof listed>) => ({
        names: [...known.names, ...came.names],
      }),
    };
    const get = () => askKept(listed, "/jobs/1", "/jobs/1", sparing);
    asked.mockResolvedValueOnce({ names: ["a", "b"] });
    expect(await get()).toEqual({ names: ["a", "b"] });
    await settled();
    asked.mockResolvedValueOnce({ names: ["c"] });
    expect(await get()).toEqual({ names: ["a", "b", "c"] });
    expect(asked.mock.calls.map(([, , path]) => path)).toEqual(["/jobs/1", "/jobs/1?known=a,b"]);
    await settled();
    asked.mockRejectedValueOnce(new NoAnswer());
    expect(await get()).toEqual({ names: ["a", "b", "c"] });
  });

  it("answer when there is no signal, and not before there is one", async () => {
    asked.mockRejectedValue(new NoAnswer());
    await expect(askKept(schema, "/jobs/1", "/jobs/1")).rejects.toBeInstanceOf(NoAnswer);
    asked.mockResolvedValueOnce({ title: "kept" });
    await askKept(schema, "/jobs/1", "/jobs/1");
    await settled();
    expect(await askKept(schema, "/jobs/1", "/jobs/1")).toEqual({ title: "kept" });
    await expect(askKept(schema, "/jobs/2", "/jobs/2")).rejects.toBeInstanceOf(NoAnswer);
  });

  it("take up what was confirmed since", async () => {
    keepAnswer("/jobs/1", { title: "confirmed" });
    await settled();
    asked.mockRejectedValue(new NoAnswer());
    expect(await askKept(schema, "/jobs/1", "/jobs/1")).toEqual({ title: "confirmed" });
  });

  it("answer a slow server's questions after a while", async () => {
    keepAnswer("/jobs/1", { title: "kept" });
    await settled();
    asked.mockImplementationOnce(() => new Promise(() => undefined));
    expect(await askKept(schema, "/jobs/1", "/jobs/1")).toEqual({ title: "kept" });
  });

  it("never stand in for a no, and are each person's own", async () => {
    keepAnswer("/jobs/1", { title: "kept" });
    await settled();
    asked.mockRejectedValueOnce(new ApiProblem(404, "gone", [], undefined));
    await expect(askKept(schema, "/jobs/1", "/jobs/1")).rejects.toBeInstanceOf(ApiProblem);
    keepFor("somebody else");
    asked.mockRejectedValueOnce(new NoAnswer());
    await expect(askKept(schema, "/jobs/1", "/jobs/1")).rejects.toBeInstanceOf(NoAnswer);
  });

  it("are passed over when they no longer fit", async () => {
    keepAnswer("/jobs/1", { name: "older shape" });
    await settled();
    asked.mockRejectedValueOnce(new NoAnswer());
    await expect(askKept(schema, "/jobs/1", "/jobs/1")).rejects.toBeInstanceOf(NoAnswer);
  });
});
