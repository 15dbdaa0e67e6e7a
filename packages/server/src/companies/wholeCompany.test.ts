import { execFileSync } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Agent, addCompany, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
const folder = mkdtempSync(join(tmpdir(), "wide porch company "));
beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await server.stop();
});

/** The ZIP as Python's own library reads it: a reader that is not ours. */
async function unpacked(agent: Agent, name: string): Promise<string> {
  const { body } = await agent
    .get("/api/v1/company/file")
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on("data", (chunk: Buffer) => chunks.push(chunk));
      response.on("end", () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  const file = join(folder, `${name}.zip`);
  writeFileSync(file, body);
  execFileSync("python3", ["-m", "zipfile", "-e", file, join(folder, name)]);
  return join(folder, name);
}

describe("all of a company as files", () => {
  it("is a ZIP with each job whole, which can be brought in again; no password is in it", async () => {
    const at = await unpacked(ros, "own");
    const jobs = readdirSync(join(at, "jobs")).toSorted();
    expect(jobs).toHaveLength(4);
    for (const name of jobs) {
      const file = JSON.parse(readFileSync(join(at, "jobs", name), "utf8"));
      await ros.post("/api/v1/job-files").send(file).expect(201);
    }
    const people = readFileSync(join(at, "people.json"), "utf8");
    expect(JSON.parse(people)).toHaveLength(3);
    expect(people).not.toMatch(/argon2|password/i);
    expect(JSON.parse(readFileSync(join(at, "price-list.json"), "utf8")).length).toBeGreaterThan(100);
  });

  it("is for owners, and has nothing of another company", async () => {
    await (await server.signedInAs("piet@fernhollow.example")).get("/api/v1/company/file").expect(403);
    await addCompany(server.dataSource, "isolde@dunnock.example");
    const at = await unpacked(await server.signedInAs("isolde@dunnock.example"), "other");
    const all = execFileSync("cat", ["company.json", "people.json", "price-list.json"], { cwd: at, encoding: "utf8" });
    expect(all).toContain("Dunnock");
    expect(all).not.toMatch(/Fernhollow|Ros Adeyemi/);
    expect(readdirSync(at)).not.toContain("jobs");
  });
});

describe("a version of an assembly", () => {
  it("is at an address of its own, for ever, without its costs for crew", async () => {
    const at = "/api/v1/assemblies/imperial/outside-wall/versions/1";
    const answer = await ros.get(at).expect(200);
    expect(answer.headers["cache-control"]).toContain("immutable");
    expect(answer.headers.vary).toMatch(/Cookie/);
    expect(answer.body).toMatchObject({ id: "outside-wall", version: 1 });
    for (const wrong of ["99", "x", "1.5", "-1"]) await ros.get(at.replace(/1$/, wrong)).expect(404);
  });
});
