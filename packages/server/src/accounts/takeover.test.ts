import supertest from "supertest";
import { createApp } from "../app";
import { startServices } from "../services";
import { type MailStandIn, startMail } from "../standIns/mail";
import { type Agent, addCompany, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let mail: MailStandIn;
let app: ReturnType<typeof createApp>;

const ISOLDE = "isolde@dunnock.example";
const PASSWORD = "porch-demo-2026";

beforeAll(async () => {
  server = await startTestServer();
  mail = await startMail();
  await addCompany(server.dataSource, ISOLDE);
  const config = {
    ...server.config,
    mail: { ...server.config.mail, smtp: mail.smtp, page: mail.page },
    trustedHops: 1,
  };
  const services = startServices(config, server.logger, () => "https://porch.example");
  app = createApp(server.dataSource, config, server.logger, { ...server, services });
});
afterAll(async () => {
  await mail.stop();
  await server.stop();
});

const from = (place: string): Agent => {
  const agent = supertest.agent(app);
  agent.set("x-forwarded-for", place);
  return agent;
};
type Kept = { to: string; subject: string; text: string };
const letters = async (): Promise<Kept[]> => {
  const { items } = (await (await fetch(`${mail.page}/letters`)).json()) as { items: Kept[] };
  return items;
};
async function letterTo(to: string, subject: RegExp, saying = ""): Promise<Kept> {
  for (let tries = 0; tries < 100; tries += 1) {
    const found = (await letters()).find(
      (each) => each.to === to && subject.test(each.subject) && each.text.includes(saying),
    );
    if (found) return found;
    await new Promise((later) => setTimeout(later, 50));
  }
  throw new Error(`no letter to ${to}`);
}
const signIn = (agent: Agent, email: string, password = PASSWORD) =>
  agent.post("/api/v1/session").send({ email, password });

/** What MariaDB's usual collations take for the same letters (Unicode collation algorithm, UTS 10: no difference at the first level). */
const ALIKE = [
  "isoldé@dunnock.example",
  "isolde@dünnock.example",
  "ｉsolde@dunnock.example",
  "isolde@dunnock.ex\u00e4mple",
  "iso\u00adlde@dunnock.example",
];

describe("an address that looks like another's", () => {
  it.each(ALIKE)("%s is nobody's: no letter goes there, and nobody signs in by it", async (typed) => {
    await from("203.0.113.1").post("/api/v1/forgotten").send({ email: typed }).expect(202);
    await signIn(from("203.0.113.1"), typed).expect(401);
    const [reset] = await server.dataSource.query("SELECT COUNT(*) AS count FROM password_reset");
    expect(Number(reset.count)).toBe(0);
    expect((await letters()).filter(({ to }) => to !== ISOLDE)).toEqual([]);
    await server.dataSource.query("DELETE FROM sign_in_attempt");
  });

  it("with capitals and blanks is the same, and the letter goes to the address that is kept", async () => {
    await from("203.0.113.2").post("/api/v1/forgotten").send({ email: "  ISOLDE@Dunnock.example " }).expect(202);
    const { to, text } = await letterTo(ISOLDE, /A new password/);
    expect(to).toBe(ISOLDE);
    const token = /#([\w-]+)/.exec(text)?.[1];
    await from("203.0.113.2").post("/api/v1/new-password").send({ token, password: PASSWORD }).expect(201);
  });

  it("is told apart by the database itself, by every byte", async () => {
    const found = (email: string) => server.dataSource.query("SELECT id FROM user WHERE email = ?", [email]);
    expect(await found(ISOLDE)).toHaveLength(1);
    for (const typed of [...ALIKE, `${ISOLDE} `, "Isolde@dunnock.example"]) expect(await found(typed)).toEqual([]);
    // Both kept beside each other, as two people's.
    const both = await server.dataSource.query("SELECT 'é' COLLATE utf8mb4_nopad_bin = 'e' AS same");
    expect(Number(both[0].same)).toBe(0);
  });
});

describe("guesses", () => {
  it("for one person from one place are ten in ten minutes, however their address is typed", async () => {
    const spellings = [ISOLDE, "ISOLDE@dunnock.example", ` ${ISOLDE}`, "Isolde@Dunnock.Example"];
    for (let tries = 0; tries < 10; tries += 1) {
      await signIn(from("198.51.100.1"), spellings[tries % spellings.length] ?? "", "guess").expect(401);
    }
    for (const email of spellings) await signIn(from("198.51.100.1"), email, "guess").expect(429);
    await signIn(from("198.51.100.2"), ISOLDE).expect(201);
  });

  it("for one person from many places have an end too, which a device that they know does not meet", async () => {
    const home = from("192.0.2.1");
    await signIn(home, ISOLDE).expect(201);
    await home
      .delete("/api/v1/session")
      .set("x-csrf-token", await tokenOf(home))
      .expect(204);
    let refused = 0;
    for (let place = 0; place < 60; place += 1) {
      const { status } = await signIn(from(`198.18.0.${place}`), ISOLDE, "guess");
      if (status === 429) refused += 1;
    }
    expect(refused).toBeGreaterThan(8);
    // Everywhere else the right password has to wait as well; at home it does not.
    const { body } = await signIn(from("198.18.1.1"), ISOLDE).expect(429);
    expect(body.detail).toMatch(/several places/);
    await signIn(home, ISOLDE).expect(201);
  });
});

async function tokenOf(agent: Agent): Promise<string> {
  return (await agent.get("/api/v1/session").expect(200)).body.session.csrfToken;
}

describe("a device", () => {
  beforeEach(() => server.dataSource.query("DELETE FROM sign_in_attempt"));

  it("that is new is told by a letter; the same one again is not, and its old session ends", async () => {
    const phone = from("192.0.2.7");
    phone.set("user-agent", "A phone, http://evil.example");
    const first = await signIn(phone, ISOLDE).expect(201);
    const { text } = await letterTo(ISOLDE, /another device/, "192.0.2.7");
    expect(text).not.toContain("http:");
    const cookies = first.headers["set-cookie"] as unknown as string[];
    const old = cookies.find((each) => each.startsWith("wide_porch_session="))?.split(";")[0] ?? "";
    phone.set("x-csrf-token", first.body.csrfToken);
    await signIn(phone, ISOLDE).expect(201);
    expect((await letters()).filter((each) => each.text.includes("192.0.2.7"))).toHaveLength(1);
    const { body } = await supertest(app).get("/api/v1/session").set("cookie", old).expect(200);
    expect(body.session).toBeNull();
  });

  it("that somebody else signs in on has nobody signed in from before", async () => {
    const shared = from("192.0.2.8");
    const first = await signIn(shared, "ros@fernhollow.example").expect(201);
    const cookies = first.headers["set-cookie"] as unknown as string[];
    const rosSession = cookies.find((each) => each.startsWith("wide_porch_session="))?.split(";")[0] ?? "";
    shared.set("x-csrf-token", first.body.csrfToken);
    await signIn(shared, ISOLDE).expect(201);
    expect((await supertest(app).get("/api/v1/session").set("cookie", rosSession)).body.session).toBeNull();
  });

  it("has cookies behind TLS that this host alone can set: the prefix, Secure, the whole path, no domain", async () => {
    const secure = server.appWith({ secureCookies: true });
    const answer = await signIn(supertest.agent(secure), ISOLDE).expect(201);
    const cookies = answer.headers["set-cookie"] as unknown as string[];
    expect(cookies).toHaveLength(2);
    for (const cookie of cookies) {
      expect(cookie).toMatch(/^__Host-wide_porch_(session|device)=/);
      expect(cookie).toMatch(/; Path=\/;.*HttpOnly; Secure; SameSite=Strict/);
      expect(cookie).not.toMatch(/Domain/i);
    }
    const [session] = cookies[0]?.split(";") ?? [];
    const read = await supertest(secure)
      .get("/api/v1/session")
      .set("cookie", session ?? "");
    expect(read.body.session.user.email).toBe(ISOLDE);
    // A cookie of that value under the plain name is none.
    const plain = (session ?? "").replace("__Host-", "");
    expect((await supertest(secure).get("/api/v1/session").set("cookie", plain)).body.session).toBeNull();
  });
});

describe("what a browser keeps", () => {
  it("is nothing of ours: no answer may be stored, and signing out clears what is there", async () => {
    const agent = from("192.0.2.9");
    const { body } = await signIn(agent, "ros@fernhollow.example").expect(201);
    agent.set("x-csrf-token", body.csrfToken);
    const { items } = (await agent.get("/api/v1/jobs").expect(200)).body;
    const id = items[0].id;
    for (const path of ["jobs", `jobs/${id}`, `jobs/${id}/counts`, `jobs/${id}/price`, "price-list", "assemblies"]) {
      const answer = await agent.get(`/api/v1/${path}`).expect(200);
      expect([path, answer.headers["cache-control"]]).toEqual([path, "no-store"]);
    }
    const out = await agent.delete("/api/v1/session").expect(204);
    expect(out.headers["clear-site-data"]).toBe('"cache"');
  });
});

describe("sessions", () => {
  it("end by the company's own limits, never later than the server's", async () => {
    await server.dataSource.query("DELETE FROM sign_in_attempt");
    const owner = from("192.0.2.10");
    const { body } = await signIn(owner, ISOLDE).expect(201);
    owner.set("x-csrf-token", body.csrfToken);
    const safety = (change: object) => owner.patch("/api/v1/company/safety").send(change);
    await safety({ idleHours: 0 }).expect(422);
    await safety({ longestDays: 1000 }).expect(422);
    expect((await safety({ idleHours: 4 }).expect(200)).body).toMatchObject({
      idleHours: 4,
      server: { idleHours: 336 },
    });
    const seen = (hours: number) =>
      server.dataSource.query("UPDATE session SET seenAt = UTC_TIMESTAMP() - INTERVAL ? HOUR", [hours]);
    await seen(3);
    await owner.get("/api/v1/jobs").expect(200);
    await seen(5);
    await owner.get("/api/v1/jobs").expect(401);
    const again = await signIn(owner, ISOLDE).expect(201);
    owner.set("x-csrf-token", again.body.csrfToken);
    await safety({ idleHours: null, longestDays: 2 }).expect(200);
    await server.dataSource.query("UPDATE session SET createdAt = UTC_TIMESTAMP() - INTERVAL 3 DAY");
    await owner.get("/api/v1/jobs").expect(401);
  });
});
