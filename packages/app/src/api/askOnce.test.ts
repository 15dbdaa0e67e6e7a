import { z } from "zod";
import { askOnce } from "./askOnce";
import { ApiProblem, ask, NoAnswer } from "./client";

jest.mock("./client", () => ({ ...jest.requireActual("./client"), ask: jest.fn() }));
const asked = jest.mocked(ask);
const schema = z.object({ id: z.string() });
const namesSent = () => asked.mock.calls.map(([, , , , more]) => more?.commandId);

beforeEach(() => {
  jest.useFakeTimers({ advanceTimers: 200 });
  asked.mockReset();
});
afterEach(() => jest.useRealTimers());

describe("a change that is made once", () => {
  it("is sent again where no answer came, under the same name", async () => {
    asked.mockRejectedValueOnce(new NoAnswer()).mockResolvedValueOnce({ id: "made" });
    expect(await askOnce(schema, "POST", "/jobs", { title: "A" })).toEqual({ id: "made" });
    const [first, second] = namesSent();
    expect(first).toBeDefined();
    expect(second).toBe(first);
  });

  it("keeps its name for when somebody presses again, and has another once it is answered or is another change", async () => {
    asked.mockRejectedValue(new NoAnswer());
    await expect(askOnce(schema, "POST", "/jobs", { title: "B" })).rejects.toBeInstanceOf(NoAnswer);
    asked.mockResolvedValue({ id: "made" });
    await askOnce(schema, "POST", "/jobs", { title: "B changed" });
    await askOnce(schema, "POST", "/jobs", { title: "B" });
    await askOnce(schema, "POST", "/jobs", { title: "B" });
    const [first, , , changed, again, anew] = namesSent();
    expect(again).toBe(first);
    expect(new Set([first, changed, anew]).size).toBe(3);
  });

  it("is not sent again where the server said no", async () => {
    asked.mockRejectedValue(new ApiProblem(422, "no", [], undefined));
    await expect(askOnce(schema, "POST", "/jobs", { title: "C" })).rejects.toBeInstanceOf(ApiProblem);
    expect(asked).toHaveBeenCalledTimes(1);
  });
});
