import { memoryStore } from "./memoryStore";
import { forgetAnswers, noteName, unsentHere } from "./whose";

const mockStore = memoryStore();
jest.mock("./store", () => ({
  get deviceStore() {
    return mockStore;
  },
}));

describe("whose things lie on a device", () => {
  it("is said for entries that are not sent, and what was kept of prices is gone once somebody signs out", async () => {
    await noteName("ros", "Ros");
    await mockStore.set("outbox/ros/000000000001/a", { kind: "patch-job" });
    await mockStore.set("outbox/ros/000000000002/b", { kind: "put-photo", target: "photo-1" });
    await mockStore.set("outbox/piet/000000000001/c", { kind: "put-part" });
    await mockStore.set("photos/photo-1", "not sent yet");
    await mockStore.set("photos/photo-2", "sent");
    await mockStore.set("answers/ros/price-list", { items: ["4.20"] });
    await mockStore.set("undo/ros/job/step/000000001", {});
    await mockStore.set("session", {});
    await mockStore.set("drafts/ros/assembly/imperial/own", {});
    expect(await unsentHere()).toEqual([
      { name: "somebody", entries: 1 },
      { name: "Ros", entries: 2 },
    ]);
    await forgetAnswers();
    expect((await mockStore.under("")).map(([key]) => key)).toEqual([
      "drafts/ros/assembly/imperial/own",
      "outbox/piet/000000000001/c",
      "outbox/ros/000000000001/a",
      "outbox/ros/000000000002/b",
      "people/ros",
      "photos/photo-1",
    ]);
  });
});
