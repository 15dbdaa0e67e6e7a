import { createServer } from "node:http";
import supertest from "supertest";
import { createApp } from "../app";
import { startServices } from "../services";
import { type MailStandIn, startMail } from "../standIns/mail";
import { type Agent, addCompany, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let mail: MailStandIn;
let app: ReturnType<typeof createApp>;

const ROS = "ros@fernhollow.example";
const JUNO = "juno@fernhollow.example";
const DEMO = "porch-demo-2026";
const OWN = { system: "metric", currency: "EUR", timeZone: "Europe/Dublin" };
const ORLA = { companyName: "Puddock Builders", name: "Orla Puddock", email: "Orla@Puddock.example", ...OWN };
const WORDS = "larch gate kettle";

const agent = (): Agent => supertest.agent(app);
const take = (own: Agent, body: { csrfToken: string }): Agent => {
  own.set("x-csrf-token", body.csrfToken);
  return own;
};
async function signedInAs(email: string, password = DEMO): Promise<Agent> {
  const own = agent();
  return take(own, (await own.post("/api/v1/session").send({ email, password }).expect(201)).body);
}
const letters = async () =>
  (await (await fetch(`${mail.page}/letters`)).json()) as { items: { to: string; subject: string; text: string }[] };
/** Letters are sent beside the answer. */
async function letterTo(to: string, subject: RegExp) {
  for (let tries = 0; tries < 100; tries += 1) {
    const found = (await letters()).items.find((each) => each.to === to && subject.test(each.subject));
    if (found) return found;
    await new Promise((later) => setTimeout(later, 50));
  }
  throw new Error(`no letter to ${to}`);
}
const tokenIn = (text: string): string => /#([\w-]+)/.exec(text)?.[1] ?? "";
/** Opens the link of the letter that asks whether an address reaches somebody. */
async function confirmed(own: Agent, to: string) {
  const token = tokenIn((await letterTo(to, /One step more/)).text);
  const { body } = await own.post("/api/v1/confirm").send({ token }).expect(201);
  return take(own, body.session) && body.session;
}
/** Somebody new of the demo's company, by an invitation's own letter. */
async function invited(ros: Agent, person: { name: string; email: string; role: string }) {
  await ros.post("/api/v1/invitations").send(person).expect(201);
  const token = tokenIn((await letterTo(person.email, /asks you into/)).text);
  const own = agent();
  const accept = { token, name: person.name, password: WORDS };
  const { body } = await own.post("/api/v1/invitation/accept").send(accept).expect(201);
  return { own: take(own, body.session), session: body.session };
}

beforeAll(async () => {
  server = await startTestServer();
  mail = await startMail();
  const config = { ...server.config, mail: { ...server.config.mail, smtp: mail.smtp, page: mail.page } };
  const services = startServices(config, server.logger, () => "https://porch.example");
  app = createApp(server.dataSource, config, server.logger, { ...server, services });
});
afterAll(async () => {
  await mail.stop();
  await server.stop();
});

describe("a company of one's own", () => {
  it("is begun beside the demo, with what a new one starts with, and sees nothing of the demo", async () => {
    const own = agent();
    const answer = await own
      .post("/api/v1/companies")
      .send({ ...ORLA, password: WORDS })
      .expect(201);
    expect(answer.body).toEqual({ session: null });
    expect(answer.headers["set-cookie"]).toBeUndefined();
    await agent().post("/api/v1/session").send({ email: ORLA.email, password: WORDS }).expect(401);
    expect(await confirmed(own, "orla@puddock.example")).toMatchObject({
      user: { email: "orla@puddock.example", role: "owner" },
      company: { name: "Puddock Builders", demo: false, profile: { currency: "EUR", timeZone: "Europe/Dublin" } },
    });
    expect((await own.get("/api/v1/jobs").expect(200)).body.items).toEqual([]);
    expect((await own.get("/api/v1/price-list").expect(200)).body.items.length).toBeGreaterThan(100);
    expect((await own.get("/api/v1/assemblies").expect(200)).body.items.length).toBeGreaterThan(20);
    expect((await own.get("/api/v1/people").expect(200)).body.items).toHaveLength(1);
  });

  it.each([
    ["no address", { email: "orla" }, "email"],
    ["a password too short", { password: "short" }, "password"],
    ["a password of the company's name", { password: "Puddock Builders" }, "password"],
    ["no name", { companyName: "  " }, "companyName"],
    ["a time zone that is none", { timeZone: "Moon/Back" }, "timeZone"],
    ["money that is none", { currency: "QQQ" }, "currency"],
  ])("is not begun with %s", async (_, wrong, path) => {
    const email = `${path.toLowerCase()}@puddock.example`;
    const { body } = await agent()
      .post("/api/v1/companies")
      .send({ ...ORLA, email, password: WORDS, ...wrong })
      .expect(422);
    expect(body.problems[0].path).toBe(path);
  });

  it("is open to begin while there is nobody, and not after, where there is no demo", async () => {
    const config = { ...server.config, demo: false };
    const closed = createApp(server.dataSource, config, server.logger, server);
    expect((await supertest(closed).get("/api/v1/set-up").expect(200)).body).toMatchObject({
      first: false,
      open: false,
    });
    await supertest(closed)
      .post("/api/v1/companies")
      .send({ ...ORLA, email: "late@puddock.example", password: WORDS })
      .expect(403);
    const { body } = await supertest(closed).post("/api/v1/session").send({ email: ROS, password: DEMO }).expect(401);
    expect(body.detail).toMatch(/do not go together/);
    expect((await agent().get("/api/v1/set-up").expect(200)).body).toMatchObject({ first: false, open: true });
  });
});

describe("people", () => {
  it("come by an invitation, once, and see what their role sees", async () => {
    const ros = await signedInAs(ROS);
    const invite = { name: "Bram Teal", email: "bram@fernhollow.example", role: "crew" };
    const { body } = await ros.post("/api/v1/invitations").send(invite).expect(201);
    expect(body).toMatchObject({ mailed: true, link: expect.stringContaining("https://porch.example/invitation#") });
    const letter = await letterTo(invite.email, /asks you into Fernhollow/);
    const token = tokenIn(letter.text);
    // Who is handed the link has not shown that the address is theirs: the letter's own is another one.
    expect(token).not.toBe(tokenIn(body.link));
    expect((await agent().post("/api/v1/invitation").send({ token }).expect(200)).body).toEqual({
      company: "Fernhollow Building",
      name: "Bram Teal",
      email: invite.email,
      role: "crew",
    });
    await agent().post("/api/v1/invitation/accept").send({ token, name: "Bram", password: "bram" }).expect(422);
    const both = await Promise.all(
      [1, 2].map(() => agent().post("/api/v1/invitation/accept").send({ token, name: "Bram Teal", password: WORDS })),
    );
    expect(both.map(({ status }) => status).toSorted()).toEqual([201, 404]);
    const bram = await signedInAs(invite.email, WORDS);
    await bram.get("/api/v1/people").expect(403);
    const [job] = (await bram.get("/api/v1/jobs").expect(200)).body.items;
    await bram.get(`/api/v1/jobs/${job.id}/price`).expect(403);
    expect(job.job.pricing).toBeNull();
  });

  it("are invited anew by another link, and by none that was taken back or is too old", async () => {
    const ros = await signedInAs(ROS);
    const invite = { name: "Wren", email: "wren@fernhollow.example", role: "estimator" };
    const first = (await ros.post("/api/v1/invitations").send(invite).expect(201)).body;
    const second = (await ros.post("/api/v1/invitations").send(invite).expect(201)).body;
    const look = (link: string) =>
      agent()
        .post("/api/v1/invitation")
        .send({ token: tokenIn(link) });
    await look(first.link).expect(404);
    await look(second.link).expect(200);
    await server.dataSource.query("UPDATE invitation SET expiresAt = UTC_TIMESTAMP() - INTERVAL 1 MINUTE");
    await look(second.link).expect(404);
    const third = (await ros.post("/api/v1/invitations").send(invite).expect(201)).body;
    await ros.delete(`/api/v1/invitations/${third.invitation.id}`).expect(204);
    await look(third.link).expect(404);
    await ros.delete(`/api/v1/invitations/${third.invitation.id}`).expect(404);
    await ros
      .post("/api/v1/invitations")
      .send({ ...invite, email: JUNO })
      .expect(422);
    await ros
      .post("/api/v1/invitations")
      .send({ ...invite, role: "king" })
      .expect(422);
  });

  it("come by a link that was handed over once they have answered a letter", async () => {
    const ros = await signedInAs(ROS);
    const invite = { name: "Hobby Falk", email: "hobby@fernhollow.example", role: "crew" };
    const { body } = await ros.post("/api/v1/invitations").send(invite).expect(201);
    const own = agent();
    const accept = { token: tokenIn(body.link), name: "Hobby Falk", password: WORDS };
    const answer = await own.post("/api/v1/invitation/accept").send(accept).expect(201);
    expect(answer.body).toEqual({ session: null });
    await own.get("/api/v1/jobs").expect(401);
    expect((await confirmed(own, invite.email)).user).toMatchObject({ role: "crew", addressConfirmed: true });
    await own.get("/api/v1/jobs").expect(200);
    await agent().post("/api/v1/invitation").send({ token: accept.token }).expect(404);
  });

  it("of another company are invited like anybody: whether they are anywhere is told to nobody but them", async () => {
    const ros = await signedInAs(ROS);
    const invite = { name: "Orla", email: "orla@puddock.example", role: "crew" };
    const { body } = await ros.post("/api/v1/invitations").send(invite).expect(201);
    // Who invites has the link, and is answered as for an address that is nobody's.
    const accept = { token: tokenIn(body.link), name: "Orla", password: WORDS };
    const other = await ros.post("/api/v1/invitations").send({ ...invite, email: "free@puddock.example" });
    const free = { ...accept, token: tokenIn(other.body.link) };
    const [taken, open] = [
      await agent().post("/api/v1/invitation/accept").send(accept).expect(201),
      await agent().post("/api/v1/invitation/accept").send(free).expect(201),
    ];
    expect(taken.body).toEqual(open.body);
    const { text } = await letterTo("orla@puddock.example", /on Wide Porch already/);
    expect(text).toMatch(/You sign in with it already/);
    // They themselves are told by the link of their own letter; it is not used up by it.
    const token = tokenIn((await letterTo("orla@puddock.example", /asks you into/)).text);
    for (let tries = 0; tries < 2; tries += 1) {
      const refused = await agent()
        .post("/api/v1/invitation/accept")
        .send({ ...accept, token })
        .expect(422);
      expect(refused.body.problems[0].code).toBe("email-taken");
    }
  });

  it("who begin a company are answered alike, whether their address is anybody's or not", async () => {
    const begin = (email: string) =>
      agent()
        .post("/api/v1/companies")
        .send({ ...ORLA, email, password: WORDS });
    const [taken, free] = [await begin("ORLA@puddock.example"), await begin("free2@puddock.example")];
    expect([taken.status, taken.body]).toEqual([free.status, free.body]);
    await letterTo("free2@puddock.example", /One step more/);
    expect(
      (await letters()).items.filter(({ to, subject }) => to === "orla@puddock.example" && /already/.test(subject)),
    ).toHaveLength(2);
  });

  it("are taken out with all their devices, and brought back; the only owner stays one", async () => {
    const ros = await signedInAs(ROS);
    const juno = await signedInAs(JUNO);
    const { items } = (await ros.get("/api/v1/people").expect(200)).body;
    const idOf = (email: string) => items.find((each: { email: string }) => each.email === email)?.id;
    await ros
      .patch(`/api/v1/people/${idOf(JUNO)}`)
      .send({ left: true })
      .expect(200);
    await juno.get("/api/v1/jobs").expect(401);
    await agent().post("/api/v1/session").send({ email: JUNO, password: DEMO }).expect(401);
    await ros
      .patch(`/api/v1/people/${idOf(JUNO)}`)
      .send({ left: false, role: "estimator" })
      .expect(200);
    await (await signedInAs(JUNO)).get("/api/v1/price-batches").expect(200);
    await ros
      .patch(`/api/v1/people/${idOf(JUNO)}`)
      .send({ role: "crew" })
      .expect(200);
    for (const change of [{ left: true }, { role: "crew" }]) {
      const { body } = await ros
        .patch(`/api/v1/people/${idOf(ROS)}`)
        .send(change)
        .expect(422);
      expect(body.problems[0].code).toBe("last-owner");
    }
    await juno
      .patch(`/api/v1/people/${idOf(ROS)}`)
      .send({ left: true })
      .expect(401);
  });

  it("who lost a phone are signed out by the owner, and not those of another company", async () => {
    const ros = await signedInAs(ROS);
    const juno = await signedInAs(JUNO);
    await addCompany(server.dataSource, "isolde@dunnock.example");
    const isolde = await signedInAs("isolde@dunnock.example");
    const { items } = (await ros.get("/api/v1/people").expect(200)).body;
    const id = items.find((each: { email: string }) => each.email === JUNO).id;
    await isolde.delete(`/api/v1/people/${id}/sessions`).expect(404);
    await juno.get("/api/v1/jobs").expect(200);
    await ros.delete(`/api/v1/people/${id}/sessions`).expect(200);
    await juno.get("/api/v1/jobs").expect(401);
  });

  it("whose data is taken out have no name, address or password left, and what they measured stays", async () => {
    const ros = await signedInAs(ROS);
    const tansy = { name: "Tansy Leaver", email: "tansy@fernhollow.example", role: "crew" };
    const { id } = (await invited(ros, tansy)).session.user;
    await ros.post(`/api/v1/people/${id}/erase`).expect(422);
    await ros.patch(`/api/v1/people/${id}`).send({ left: true }).expect(200);
    const erased = await ros.post(`/api/v1/people/${id}/erase`).expect(200);
    expect(erased.body.kept.length).toBeGreaterThan(0);
    const everything = JSON.stringify([
      await server.dataSource.query("SELECT * FROM user"),
      await server.dataSource.query("SELECT * FROM invitation"),
      await server.dataSource.query("SELECT * FROM command"),
      await server.dataSource.query("SELECT * FROM event"),
      await server.dataSource.query("SELECT * FROM entry_to_confirm"),
    ]);
    expect(everything).not.toMatch(/tansy/i);
    await agent()
      .post("/api/v1/session")
      .send({ email: `${id}@erased.invalid`, password: "" })
      .expect(422);
    await agent()
      .post("/api/v1/session")
      .send({ email: `${id}@erased.invalid`, password: "x" })
      .expect(401);
    await ros.patch(`/api/v1/people/${id}`).send({ left: false }).expect(422);
  });
});

describe("one's own account", () => {
  it("has another name and password; other devices are signed out by it, this one is not", async () => {
    const [here, there] = [
      await signedInAs("orla@puddock.example", WORDS),
      await signedInAs("orla@puddock.example", WORDS),
    ];
    expect((await here.patch("/api/v1/account").send({ name: "Orla P." }).expect(200)).body.user.name).toBe("Orla P.");
    const change = (password: string, next: string) => here.post("/api/v1/account/password").send({ password, next });
    expect((await change("wrong", "another kettle now").expect(422)).body.problems[0].path).toBe("password");
    expect((await change(WORDS, "too short").expect(422)).body.problems[0].path).toBe("next");
    await change(WORDS, "another kettle now").expect(204);
    await here.get("/api/v1/jobs").expect(200);
    await there.get("/api/v1/jobs").expect(401);
    await agent().post("/api/v1/session").send({ email: "orla@puddock.example", password: WORDS }).expect(401);
    await letterTo("orla@puddock.example", /password was changed/);
  });

  it("lists its devices, and ends one of them; nobody else's", async () => {
    const here = await signedInAs("orla@puddock.example", "another kettle now");
    const phone = agent();
    phone.set("user-agent", "A phone, found in the rain");
    take(
      phone,
      (await phone.post("/api/v1/session").send({ email: "orla@puddock.example", password: "another kettle now" }))
        .body,
    );
    const { items } = (await here.get("/api/v1/account/sessions").expect(200)).body;
    const lost = items.find((each: { device: string }) => each.device.includes("found in the rain"));
    expect(lost.own).toBe(false);
    const ros = await signedInAs(ROS);
    await ros.delete(`/api/v1/account/sessions/${lost.id}`).expect(404);
    await here.delete(`/api/v1/account/sessions/${lost.id}`).expect(204);
    await phone.get("/api/v1/jobs").expect(401);
  });

  it("forgotten, is opened by a link that is mailed, works once, and ends all other sessions", async () => {
    const before = await signedInAs("orla@puddock.example", "another kettle now");
    const unknown = await agent().post("/api/v1/forgotten").send({ email: "nobody@puddock.example" }).expect(202);
    const known = await agent().post("/api/v1/forgotten").send({ email: "orla@puddock.example" }).expect(202);
    expect(known.body).toEqual(unknown.body);
    const token = tokenIn((await letterTo("orla@puddock.example", /A new password/)).text);
    await agent().post("/api/v1/new-password").send({ token, password: "Orla Puddock 1" }).expect(422);
    const set = () => agent().post("/api/v1/new-password").send({ token, password: "a fourth wet spaniel" });
    await set().expect(201);
    await set().expect(404);
    await before.get("/api/v1/jobs").expect(401);
    await signedInAs("orla@puddock.example", "a fourth wet spaniel");
    await agent().post("/api/v1/new-password").send({ token: "made up", password: "a fifth wet spaniel" }).expect(404);
    // The demo's people keep the password that everybody knows.
    await agent().post("/api/v1/forgotten").send({ email: ROS }).expect(202);
    expect((await letters()).items.some(({ to }) => to === ROS)).toBe(false);
  });

  it("is signed out after days without a visit, by setting", async () => {
    const own = await signedInAs("orla@puddock.example", "a fourth wet spaniel");
    await server.dataSource.query("UPDATE session SET seenAt = UTC_TIMESTAMP() - INTERVAL 13 DAY");
    await own.get("/api/v1/jobs").expect(200);
    await server.dataSource.query("UPDATE session SET seenAt = UTC_TIMESTAMP() - INTERVAL 15 DAY");
    await own.get("/api/v1/jobs").expect(401);
  });
});

describe("what a company is", () => {
  it("is changed by an owner, seen at the head of the next quote, and not on those that were issued", async () => {
    const ros = await signedInAs(ROS);
    const [job] = (await ros.get("/api/v1/jobs?sort=title").expect(200)).body.items.filter(
      (each: { job: { title: string } }) => each.job.title.startsWith("Lantern"),
    );
    const [issued] = (await ros.get(`/api/v1/jobs/${job.id}/quotes`).expect(200)).body.items;
    const registers = [{ name: "Licence", number: "MC 4471" }];
    const numbering = { prefix: "FH-", byYear: false, digits: 5, firstNumber: 300 };
    const { body } = await ros
      .patch("/api/v1/company")
      .send({ address: "2 New Yard, Marlcroft", profile: { phone: "555 0142", registers, numbering } })
      .expect(200);
    expect(body).toMatchObject({ name: "Fernhollow Building", profile: { phone: "555 0142", currency: "USD" } });
    const draft = (await ros.get(`/api/v1/jobs/${job.id}/quote-draft`).expect(200)).body;
    expect(draft.company).toMatchObject({ address: "2 New Yard, Marlcroft", details: ["555 0142", "Licence MC 4471"] });
    const issue = async () =>
      (await ros.post(`/api/v1/jobs/${job.id}/quotes`).send({ commandId: crypto.randomUUID() }).expect(201)).body
        .number;
    expect([await issue(), await issue()]).toEqual(["FH-00300", "FH-00301"]);
    const after = (await ros.get(`/api/v1/jobs/${job.id}/quotes`).expect(200)).body.items.at(-1);
    expect(after.document.company).toEqual(issued.document.company);
    for (const wrong of [{ profile: { timeZone: "x" } }, { name: "" }, { profile: { mark: "x" } }, { other: 1 }]) {
      await ros.patch("/api/v1/company").send(wrong).expect(422);
    }
    const juno = await signedInAs(JUNO);
    await juno.patch("/api/v1/company").send({ name: "Mine" }).expect(403);
  });

  it("has a mark that is a picture, each under an id of its own, seen by nobody else", async () => {
    const ros = await signedInAs(ROS);
    const png = Buffer.from(
      "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==",
      "base64",
    );
    const put = (bytes: Buffer) => ros.put("/api/v1/company/mark").set("content-type", "image/png").send(bytes);
    const { body } = await put(png).expect(200);
    const at = `/api/v1/company/marks/${body.profile.mark}`;
    expect((await ros.get(at).expect(200)).type).toBe("image/png");
    await (await signedInAs("isolde@dunnock.example")).get(at).expect(404);
    await put(Buffer.from("<svg/>")).expect(422);
    expect((await ros.delete("/api/v1/company/mark").expect(200)).body.profile.mark).toBeNull();
    await ros.get(at).expect(200);
  });
});

describe("the mail", () => {
  it("that cannot be sent is said, and the link is there all the same", async () => {
    const dead = createServer();
    await new Promise<void>((listening) => dead.listen(0, "127.0.0.1", listening));
    const address = dead.address();
    const port = typeof address === "object" && address ? address.port : 0;
    await new Promise((closed) => dead.close(closed));
    const config = { ...server.config, mail: { ...server.config.mail, smtp: `smtp://127.0.0.1:${port}` } };
    const services = startServices(config, server.logger, () => "https://porch.example");
    const own = supertest.agent(createApp(server.dataSource, config, server.logger, { ...server, services }));
    take(own, (await own.post("/api/v1/session").send({ email: ROS, password: DEMO }).expect(201)).body);
    const invite = { name: "Pim", email: "pim@fernhollow.example", role: "crew" };
    const { body } = await own.post("/api/v1/invitations").send(invite).expect(201);
    expect(body).toMatchObject({ mailed: false, link: expect.stringContaining("#") });
  });

  it("takes no second address and no header out of what is typed", async () => {
    const ros = await signedInAs(ROS);
    for (const email of ["a@b.example, c@d.example", "a@b.example\r\nBcc: c@d.example", "<a@b.example>"]) {
      await ros.post("/api/v1/invitations").send({ name: "A", email, role: "crew" }).expect(422);
    }
    const named = { name: "B\r\nBcc: c@d.example", email: "b@fernhollow.example", role: "crew" };
    await ros.post("/api/v1/invitations").send(named).expect(422);
    expect((await letters()).items.every(({ to }) => !to.includes("c@d.example"))).toBe(true);
  });
});
