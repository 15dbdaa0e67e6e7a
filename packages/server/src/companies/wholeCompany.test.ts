import JSZip from "jszip";
import { type Agent, addCompany, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
});
afterAll(() => server.stop());

/** Its files as a reader of ZIPs has them that is not ours, by their names. */
async function unpacked(agent: Agent): Promise<ReadonlyMap<string, string>> {
  const { body } = await agent
    .get("/api/v1/company/file")
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on("data", (chunk: Buffer) => chunks.push(chunk));
      response.on("end", () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  const { files } = await JSZip.loadAsync(body, { checkCRC32: true });
  const texts = Object.values(files).map(async (file) => [file.name, await file.async("text")] as const);
  return new Map(await Promise.all(texts));
}

describe("all of a company as files", () => {
  it("is a ZIP with each job whole, which can be brought in again; no password is in it", async () => {
    const files = await unpacked(ros);
    const jobs = [...files].filter(([name]) => name.startsWith("jobs/"));
    expect(jobs).toHaveLength(4);
    for (const [, text] of jobs) await ros.post("/api/v1/job-files").send(JSON.parse(text)).expect(201);
    const people = files.get("people.json") ?? "";
    expect(JSON.parse(people)).toHaveLength(3);
    expect(people).not.toMatch(/argon2|password/i);
    expect(JSON.parse(files.get("price-list.json") ?? "").length).toBeGreaterThan(100);
  });

  it("is for owners, and has nothing of another company", async () => {
    await (await server.signedInAs("piet@fernhollow.example")).get("/api/v1/company/file").expect(403);
    await addCompany(server.dataSource, "isolde@dunnock.example");
    const files = await unpacked(await server.signedInAs("isolde@dunnock.example"));
    const all = [...files.values()].join("\n");
    expect(all).toContain("Dunnock");
    expect(all).not.toMatch(/Fernhollow|Ros Adeyemi/);
    expect([...files.keys()].some((name) => name.startsWith("jobs/"))).toBe(false);
  });
});

describe("a version of an assembly", () => {
  it("is at an address of its own, for ever, without its costs for crew", async () => {
    const at = "/api/v1/assemblies/imperial/outside-wall/versions/1";
    const answer = await ros.get(at).expect(200);
    expect(answer.headers["cache-control"]).toBe("no-store");
    expect(answer.body).toMatchObject({ id: "outside-wall", version: 1 });
    for (const wrong of ["99", "x", "1.5", "-1"]) await ros.get(at.replace(/1$/, wrong)).expect(404);
  });
});
