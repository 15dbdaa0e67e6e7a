import { type Part, partContext, studWallKind } from "@wide-porch/core";
import { startJob } from "@wide-porch/core/reckoning";
import { library, starterCompanySettings } from "@wide-porch/library";
import type { FullJob } from "../api/records";
import { memoryStore } from "../device/memoryStore";
import { Outbox } from "../sync/outbox";
import { OpenJob } from "./openJob";

const context = partContext("imperial", library);
const wall = (id: string): Part => studWallKind.defaults(id, id, context);
const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const jobOf = (...parts: Part[]): FullJob => ({
  change: 1,
  job: { id: "job", revision: 1, updatedAt: "2026-11-01T08:00:00.000Z", job },
  parts: parts.map((part) => ({ id: part.id, revision: 1, binned: false, part })),
  unknownParts: [],
  assemblies: [],
  standard: null,
});
const company = { prices: { items: [] }, kept: undefined, assemblies: { items: [], bases: [] } };
const turns = async () => {
  for (let turn = 0; turn < 8; turn += 1) await new Promise((resolve) => setTimeout(resolve, 0));
};

const opened: (() => void)[] = [];

/** An open job over a server that never answers a change: what is entered stays on the device. */
async function opening(answer: FullJob) {
  const counted: string[][] = [];
  let server = answer;
  const outbox = new Outbox({
    store: memoryStore(),
    send: () => new Promise(() => undefined),
    onConfirmed: () => undefined,
    onSignedOut: () => undefined,
  });
  await outbox.open("ros");
  const open = new OpenJob({
    jobId: "job",
    owner: "ros",
    outbox,
    store: memoryStore(),
    reckoner: () => ({
      learn: async () => undefined,
      count: (_page, _job, parts) => {
        counted.push(parts.map((each) => ("unchanged" in each ? each.unchanged : each.name)));
        return new Promise(() => undefined);
      },
      price: () => new Promise(() => undefined),
      forget: async () => undefined,
    }),
    read: () => server,
    page: "page",
  });
  open.open();
  opened.push(() => {
    open.close();
    outbox.close();
  });
  const views: unknown[] = [];
  open.state.subscribe((view) => views.push(view));
  return {
    open,
    counted,
    views,
    answer: (next: FullJob) => {
      server = next;
      open.refresh();
    },
  };
}

afterEach(() => {
  for (const close of opened.splice(0)) close();
});

describe("the open job", () => {
  it("is not there before the prices and the rules are", async () => {
    const { open } = await opening(jobOf(wall("a")));
    expect(open.state.getState()).toBeUndefined();
    open.setCompany(company);
    expect(open.state.getState()?.parts.map((part) => part.id)).toEqual(["a"]);
  });

  it("shows an entry at once, leaves what it does not touch the same objects, and takes it back", async () => {
    const { open } = await opening(jobOf(wall("a"), wall("b")));
    open.setCompany(company);
    const before = open.state.getState();
    open.actions.changePart("a", (part) => ({ ...part, name: "Longer" }));
    const after = open.state.getState();
    expect(after?.parts.map((part) => part.name)).toEqual(["Longer", "b"]);
    expect(after?.parts[1]).toBe(before?.parts[1]);
    expect([after?.rules, after?.priceList, after?.context]).toEqual([
      before?.rules,
      before?.priceList,
      before?.context,
    ]);
    expect(after?.rules).toBe(before?.rules);
    after?.undo?.();
    expect(open.state.getState()?.parts.map((part) => part.name)).toEqual(["a", "b"]);
    open.state.getState()?.redo?.();
    expect(open.state.getState()?.parts[0]?.name).toBe("Longer");
  });

  it("is told of nothing new when the server's answer says nothing new", async () => {
    const { open, views, answer } = await opening(jobOf(wall("a")));
    open.setCompany(company);
    await turns();
    const told = views.length;
    const { parts } = open.state.getState() ?? { parts: [] };
    open.refresh();
    expect(views).toHaveLength(told);
    // The same again as other objects: parts and rules stay as they are.
    answer(JSON.parse(JSON.stringify(jobOf(wall("a")))));
    expect(open.state.getState()?.parts).toBe(parts);
  });

  it("keeps an entry over what comes from the server of other parts", async () => {
    const { open, answer } = await opening(jobOf(wall("a"), wall("b")));
    open.setCompany(company);
    open.actions.changePart("a", (part) => ({ ...part, name: "Mine" }));
    answer(jobOf(wall("a"), { ...wall("b"), name: "Theirs" }));
    expect(open.state.getState()?.parts.map((part) => part.name)).toEqual(["Mine", "Theirs"]);
  });

  it("tries changes on this screen alone: dropped they never were, taken they are one step", async () => {
    const { open } = await opening(jobOf(wall("a"), wall("b")));
    open.setCompany(company);
    const names = () => open.state.getState()?.parts.map((part) => part.name);
    const rename = (id: string, name: string) => open.actions.changePart(id, (part) => ({ ...part, name }));
    open.actions.startTrial();
    rename("a", "Tried");
    rename("b", "Tried too");
    expect(names()).toEqual(["Tried", "Tried too"]);
    expect(open.state.getState()?.trial?.steps).toHaveLength(2);
    open.state.getState()?.undo?.();
    expect(names()).toEqual(["Tried", "b"]);
    open.actions.dropTrial();
    expect(names()).toEqual(["a", "b"]);
    expect(open.state.getState()?.undo).toBeUndefined();
    open.actions.startTrial();
    rename("a", "Once");
    rename("a", "Twice");
    rename("b", "Taken");
    open.actions.takeTrial();
    expect(names()).toEqual(["Twice", "Taken"]);
    expect(open.state.getState()?.trial).toBeUndefined();
    open.state.getState()?.undo?.();
    expect(names()).toEqual(["a", "b"]);
  });

  it("plans what it has when somebody asks, and once", async () => {
    const { open } = await opening(jobOf(wall("a")));
    open.setCompany(company);
    const view = open.state.getState();
    expect(view?.plan).toBe(view?.plan);
    expect(view?.plan.walls.map((each) => each.id)).toEqual(["a"]);
  });

  it("says that something went wrong by its name where a change is made of what is not there", async () => {
    const { open } = await opening(jobOf(wall("a")));
    // Before it is there nothing is changed, and nothing breaks.
    open.actions.changePart("a", (part) => ({ ...part, name: "x" }));
    open.setCompany(company);
    open.actions.changePart("nobody", (part) => ({ ...part, name: "x" }));
    expect(open.state.getState()?.parts.map((part) => part.name)).toEqual(["a"]);
  });
});
