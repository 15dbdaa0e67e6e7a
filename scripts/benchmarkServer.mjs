import { report } from "./lib/timing.mjs";

const ROUNDS = 300;

/** Asks an address again and again, and says how long each answer took. */
async function timed(ask) {
  const times = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const from = performance.now();
    await (await ask()).text();
    times.push(performance.now() - from);
  }
  return times;
}

/** What the server takes to say what a job comes to where nothing changed, beside an answer that is one SELECT of the job's row and no more. */
export async function benchmarkServer(address) {
  const api = `${address}/api/v1`;
  const { items: people } = await (await fetch(`${api}/demo-people`)).json();
  const [{ email, password }] = people;
  const signIn = {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ email, password }),
  };
  const answer = await fetch(`${api}/session`, signIn);
  const cookie = answer.headers
    .getSetCookie()
    .map((each) => each.split(";")[0])
    .join("; ");
  const get = (path, headers = {}) => fetch(`${api}${path}`, { headers: { cookie, ...headers } });
  const jobs = await (await get("/jobs")).json();
  const { id } = jobs.items.find(({ job }) => job.title.startsWith("Skylark"));
  const { change } = await (await get(`/jobs/${id}`)).json();
  const priced = await get(`/jobs/${id}/price`);
  const tag = priced.headers.get("etag");
  await priced.text();
  const select = () => get(`/jobs/${id}/changes?since=${change}`);
  await timed(select);
  report("one SELECT of the job's row", await timed(select), "nothing");
  const whole = await get(`/jobs/${id}`);
  const wholeTag = whole.headers.get("etag");
  await whole.text();
  report("the whole job, by its tag", await timed(() => get(`/jobs/${id}`, { "if-none-match": wholeTag })), "3x that");
  report("the whole job, sent again", await timed(() => get(`/jobs/${id}`)), "3x that");
  report("its price, by its tag", await timed(() => get(`/jobs/${id}/price`, { "if-none-match": tag })), "3x that");
  report("its price, whole", await timed(() => get(`/jobs/${id}/price`)), "3x that");
  report("its total", await timed(() => get(`/jobs/${id}/total`)), "3x that");
}
