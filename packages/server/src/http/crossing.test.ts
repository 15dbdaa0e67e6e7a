import { createHash } from "node:crypto";
import type { Response } from "supertest";
import { allEndpoints } from "../endpoints";
import { type Agent, addCompany, startTestServer, type TestServer } from "../testing/testServer";
import { pathOf, type ValidRequest, validRequests } from "../testing/validRequests";
import { type Endpoint, keyOf } from "./endpoint";

let server: TestServer;
let ros: Agent;
let endpoints: readonly Endpoint[];
let valid: ReadonlyMap<string, ValidRequest>;

/** Of the first company alone, and in its answers: what another company must never be told. */
const MARK = "Zaunkoenig-7341";

beforeAll(async () => {
  server = await startTestServer();
  endpoints = allEndpoints(server.dataSource, server.config, server.services);
  ros = await server.signedInAs("ros@fernhollow.example");
  const ask = async (method: string, path: string, body?: unknown) => (await send(ros, method, path, body)).body;
  valid = await validRequests(ask);
  await server.dataSource.query(
    "UPDATE job SET data = JSON_SET(data, '$.title', CONCAT(?, JSON_VALUE(data, '$.title')))",
    [MARK],
  );
  await server.dataSource.query("UPDATE part SET data = JSON_SET(data, '$.notes', ?)", [MARK]);
  await server.dataSource.query("UPDATE price_item SET data = JSON_SET(data, '$.note', ?)", [MARK]);
  await server.dataSource.query("UPDATE user SET name = CONCAT(?, name)", [MARK]);
  await server.dataSource.query("UPDATE quote SET document = JSON_SET(document, '$.title', ?)", [MARK]);
  await addCompany(server.dataSource, "isolde@dunnock.example");
});
afterAll(() => server.stop());

function send(agent: Agent, method: string, path: string, body?: unknown): Promise<Response> {
  const asking = agent[method.toLowerCase() as Endpoint["method"]](`/api/v1${path}`);
  if (Buffer.isBuffer(body)) return Promise.resolve(asking.set("content-type", "image/png").send(body));
  return Promise.resolve(body === undefined ? asking : asking.send(body as object));
}

const asked = (agent: Agent, endpoint: Endpoint): Promise<Response> => {
  const request = valid.get(keyOf(endpoint)) ?? { params: {} };
  return send(agent, endpoint.method, pathOf(endpoint.path, request.params), request.body);
};

/** All that the first company has, table by table. */
async function fingerprint(companyId: string): Promise<Record<string, string>> {
  const rows: { name: string }[] = await server.dataSource.query(
    "SELECT table_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'companyId'",
  );
  const found: Record<string, string> = {};
  for (const { name } of rows) {
    const all = await server.dataSource.query(`SELECT * FROM \`${name}\` WHERE companyId = ? ORDER BY 1, 2, 3`, [
      companyId,
    ]);
    found[name] = createHash("sha256").update(JSON.stringify(all)).digest("hex");
  }
  const company = await server.dataSource.query("SELECT * FROM company WHERE id = ?", [companyId]);
  return { ...found, company: JSON.stringify(company) };
}

const isOpen = ({ access }: Endpoint): boolean => access === "public";

describe("every endpoint", () => {
  it("that takes a body or names a record has a request here that fits it", () => {
    const lacking = endpoints.filter((each) => (each.body || each.path.includes(":")) && !valid.has(keyOf(each)));
    expect(lacking.map(keyOf)).toEqual([]);
  });

  it("asks who one is: nobody is answered 401", async () => {
    for (const endpoint of endpoints.filter((each) => !isOpen(each))) {
      const { status, text } = await asked(server.anonymous, endpoint);
      expect([keyOf(endpoint), status]).toEqual([keyOf(endpoint), 401]);
      expect(text).not.toContain(MARK);
    }
  });

  it("keeps to its role: crew see no cost and estimators change no company", async () => {
    const crew = await server.signedInAs("juno@fernhollow.example");
    const estimator = await server.signedInAs("piet@fernhollow.example");
    for (const endpoint of endpoints) {
      if (endpoint.access === "sees-costs" || endpoint.access === "owner") {
        expect([keyOf(endpoint), (await asked(crew, endpoint)).status]).toEqual([keyOf(endpoint), 403]);
      }
      if (endpoint.access === "owner") {
        expect([keyOf(endpoint), (await asked(estimator, endpoint)).status]).toEqual([keyOf(endpoint), 403]);
      }
    }
  });

  it("tells and changes nothing of another company, whatever role one has there", async () => {
    const [{ id: companyId }] = await server.dataSource.query("SELECT id FROM company WHERE demo = TRUE");
    const before = await fingerprint(companyId);
    for (const role of ["owner", "estimator", "crew"]) {
      await server.dataSource.query("UPDATE user SET role = ? WHERE email = 'isolde@dunnock.example'", [role]);
      const isolde = await server.signedInAs("isolde@dunnock.example");
      for (const endpoint of endpoints.filter((each) => keyOf(each) !== "delete /session")) {
        const { status, text } = await asked(isolde, endpoint);
        const told = (text ?? "").includes(MARK);
        expect([role, keyOf(endpoint), told, status >= 500 && status !== 503]).toEqual([
          role,
          keyOf(endpoint),
          false,
          false,
        ]);
      }
    }
    expect(await fingerprint(companyId)).toEqual(before);
  });

  it("answers its own company with what is in it: what is asked above can fail", async () => {
    const told: string[] = [];
    for (const endpoint of endpoints.filter(({ method }) => method === "get")) {
      if ((await asked(ros, endpoint)).text?.includes(MARK)) told.push(endpoint.path);
    }
    expect(told.length).toBeGreaterThan(8);
  });
});
