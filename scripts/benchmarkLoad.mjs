import { execFileSync } from "node:child_process";
import { setTimeout as pause } from "node:timers/promises";
import { signedIn } from "./lib/api.mjs";
import { linkTo } from "./lib/letters.mjs";
import { inRoot } from "./lib/paths.mjs";
import { report } from "./lib/timing.mjs";

const WALLS = "1000";
const SIGN_INS_A_SECOND = 60;
const SECONDS = 10;

/** How long `ask` takes again and again until `until` has come. */
async function meanwhile(ask, until) {
  let over = false;
  const ended = until.finally(() => {
    over = true;
  });
  const times = [];
  while (!over) {
    const from = performance.now();
    await (await ask()).text();
    times.push(performance.now() - from);
    await pause(10);
  }
  await ended;
  return times;
}

async function largeJob({ post }) {
  const tsx = inRoot("node_modules/.bin/tsx");
  const file = execFileSync(tsx, [inRoot("scripts/largeHouseFile.ts"), WALLS], { maxBuffer: 500_000_000 });
  const answer = await post("/job-files", file);
  if (answer.status !== 201) throw new Error(`benchmarkLoad: the large house was not taken: ${await answer.text()}`);
  return (await answer.json()).id;
}

const atOnce = async (works) => Promise.all(works.map((work) => work()));

const PEOPLE = 40;

/** People enough that no two of one name sign in at once. */
async function invited(ros, api) {
  const people = [];
  for (let index = 0; index < PEOPLE; index += 1) {
    const email = `bench-${index}@fernhollow.example`;
    await ros.post("/invitations", { name: `Bench ${index}`, email, role: "crew" });
    const link = await linkTo(api, email);
    const body = JSON.stringify({ token: link.split("#")[1], name: `Bench ${index}`, password: "wet rope and shovel" });
    const headers = { "content-type": "application/json" };
    const { status } = await fetch(`${api}/invitation/accept`, { method: "POST", headers, body });
    if (status !== 201) throw new Error(`benchmarkLoad: an invitation was answered ${status}`);
    people.push({ email, password: "wet rope and shovel" });
  }
  return people;
}

async function signInsASecond(api, people) {
  const all = [];
  const took = [];
  let refused = 0;
  for (let sent = 0; sent < SIGN_INS_A_SECOND * SECONDS; sent += 1) {
    const from = performance.now();
    all.push(
      signedIn(api, people[sent % people.length]).then(
        () => took.push(performance.now() - from),
        (error) => {
          if (refused === 0) console.log(error.message);
          refused += 1;
        },
      ),
    );
    await pause(1000 / SIGN_INS_A_SECOND);
  }
  await Promise.all(all);
  if (refused > 0) console.log(`${refused} of ${all.length} sign-ins were refused for the time being`);
  return took;
}

/** What others feel while a house of a thousand walls is counted, and while sixty people a second sign in. */
export async function benchmarkLoad(address) {
  const api = `${address}/api/v1`;
  const { items: people } = await (await fetch(`${api}/demo-people`)).json();
  const [person] = people;
  const ros = await signedIn(api, person);
  const health = () => fetch(`${api}/health`);
  const jobs = () => ros.get("/jobs");
  const counted = (id) => async () => {
    const from = performance.now();
    await (await ros.get(`/jobs/${id}/counts`)).text();
    console.log(`counted in ${((performance.now() - from) / 1000).toFixed(1)} s`);
  };
  await meanwhile(health, pause(1000));
  report("health, nothing else to do", await meanwhile(health, pause(2000)), "50");
  report("the list of jobs, nothing else to do", await meanwhile(jobs, pause(2000)), "100");
  for (const [name, ask, aim] of [
    ["health while 1,000 walls are counted", health, 50],
    ["the list of jobs while 1,000 walls are counted", jobs, 100],
  ]) {
    const ids = [await largeJob(ros), await largeJob(ros)];
    report(name, await meanwhile(ask, atOnce(ids.map(counted))), aim);
  }
  const crew = await invited(ros, api);
  for (const [name, ask, aim] of [
    [`health while ${SIGN_INS_A_SECOND} people a second sign in`, health, 50],
    [`the list of jobs while ${SIGN_INS_A_SECOND} people a second sign in`, jobs, 100],
  ]) {
    const signing = signInsASecond(api, crew);
    report(name, await meanwhile(ask, signing), aim);
    const took = await signing;
    if (took.length > 0) report("  the signing in itself", took, "-");
  }
}
