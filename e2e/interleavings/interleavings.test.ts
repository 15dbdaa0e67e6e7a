import { Device } from "./device";
import { interleaving } from "./interleaving";
import { KillableServer } from "./server";

/** A bounded number for every run of the tests; `npm run interleavings` does a thousand. */
const COUNT = Number(process.env.WIDE_PORCH_INTERLEAVINGS ?? 40);
const FIRST_SEED = Number(process.env.WIDE_PORCH_SEED ?? 1);
const STEPS = 24;

jest.setTimeout(Math.max(240_000, COUNT * 4_000));

describe("two devices on one job, with network cuts, repeated sends and a server that is killed", () => {
  const server = new KillableServer();
  let devices: readonly [Device, Device];

  beforeAll(async () => {
    await server.create();
    devices = [new Device(server, "ros@fernhollow.example"), new Device(server, "piet@fernhollow.example")];
    for (const device of devices) await device.signIn();
  });
  afterAll(() => server.destroy());

  it(`lose no entry and end equal, in ${COUNT} random orders`, async () => {
    let entries = 0;
    for (let seed = FIRST_SEED; seed < FIRST_SEED + COUNT; seed += 1) {
      const outcome = await interleaving(seed, server, devices, STEPS);
      entries += outcome.entries;
      // The seed is in the message, so that a failing order can be run again.
      expect({ seed, lost: outcome.lost, equal: outcome.equal }).toEqual({ seed, lost: [], equal: true });
    }
    expect(entries).toBeGreaterThan(COUNT * 5);
  });
});
