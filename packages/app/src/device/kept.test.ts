import { z } from "zod";
import { ApiProblem, askTagged, NoAnswer } from "../api/client";
import { askKept, keepAnswer, keepFor } from "./kept";
import { memoryStore } from "./memoryStore";

jest.mock("../api/client", () => ({ ...jest.requireActual("../api/client"), askTagged: jest.fn() }));
const mockStore = memoryStore();
jest.mock("./store", () => ({
  get deviceStore() {
    return mockStore;
  },
}));

const mocked = jest.mocked(askTagged);
/** The server's answers, under no tag. */
const asked = {
  mockReset: () => mocked.mockReset(),
  mockResolvedValueOnce: (answer: unknown) => mocked.mockResolvedValueOnce({ answer, tag: undefined }),
  mockRejectedValueOnce: (error: unknown) => mocked.mockRejectedValueOnce(error),
  mockRejectedValue: (error: unknown) => mocked.mockRejectedValue(error),
  mockImplementationOnce: (work: () => Promise<undefined>) => mocked.mockImplementationOnce(work),
};
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
    expect(mocked.mock.calls.map(([, path]) => path)).toEqual(["/jobs/1", "/jobs/1?known=a,b"]);
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

  it("are not sent again where they are still the same: the tag that they came under says so", async () => {
    const sparing = { query: () => "?known=1", merge: (came: { title: string }) => came };
    const get = () => askKept(schema, "/jobs/9", "/jobs/9", sparing);
    mocked.mockResolvedValueOnce({ answer: { title: "first" }, tag: '"1"' });
    await get();
    await settled();
    mocked.mockResolvedValueOnce({ answer: { title: "second" }, tag: '"2"' });
    expect(await get()).toEqual({ title: "second" });
    await settled();
    mocked.mockResolvedValueOnce(undefined);
    expect(await get()).toEqual({ title: "second" });
    expect(mocked.mock.calls.map(([, path, tag]) => [path, tag])).toEqual([
      ["/jobs/9", undefined],
      ["/jobs/9?known=1", undefined],
      ["/jobs/9?known=1", '"2"'],
    ]);
  });

  it("are passed over when they no longer fit", async () => {
    keepAnswer("/jobs/1", { name: "older shape" });
    await settled();
    asked.mockRejectedValueOnce(new NoAnswer());
    await expect(askKept(schema, "/jobs/1", "/jobs/1")).rejects.toBeInstanceOf(NoAnswer);
  });
});
