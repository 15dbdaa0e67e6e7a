import { Secret, TOTP } from "otpauth";
import { type Agent, addCompany, startTestServer, type TestServer } from "../testing/testServer";
import { addressOf, stepOf } from "./store";

/**
 * RFC 6238, appendix B (values from memory): the secret is the ASCII text "12345678901234567890", the codes there have eight digits, of
 * which these are the last six.
 */
const RFC_SECRET = new Secret({ buffer: new TextEncoder().encode("12345678901234567890").buffer as ArrayBuffer })
  .base32;
const RFC_6238: readonly (readonly [seconds: number, code: string])[] = [
  [59, "287082"],
  [1_111_111_109, "081804"],
  [1_111_111_111, "050471"],
  [1_234_567_890, "005924"],
  [2_000_000_000, "279037"],
];

describe("a time-based code", () => {
  it.each(RFC_6238)("at %s s is %s (RFC 6238, appendix B)", (seconds, code) => {
    expect(stepOf(RFC_SECRET, code, seconds * 1000)).toBe(Math.floor(seconds / 30));
  });

  it("is taken half a minute early or late, and no longer", () => {
    const [at, code] = RFC_6238[1] ?? [0, ""];
    expect(stepOf(RFC_SECRET, code, (at + 30) * 1000)).toBe(Math.floor(at / 30));
    expect(stepOf(RFC_SECRET, code, (at - 30) * 1000)).toBe(Math.floor(at / 30));
    expect(stepOf(RFC_SECRET, code, (at + 90) * 1000)).toBeUndefined();
    expect(stepOf(RFC_SECRET, "000000", at * 1000)).toBeUndefined();
  });

  it("is offered to an authenticator by an otpauth address", () => {
    expect(addressOf(RFC_SECRET, "ros@fernhollow.example")).toMatch(
      /^otpauth:\/\/totp\/Wide%20Porch:ros%40fernhollow\.example\?issuer=Wide%20Porch&secret=GEZDGNBV\w+&algorithm=SHA1&digits=6&period=30$/,
    );
  });
});

describe("a second factor", () => {
  let server: TestServer;
  let owner: Agent;
  let secret = "";
  let recovery: string[] = [];
  const ISOLDE = "isolde@dunnock.example";
  const PASSWORD = "porch-demo-2026";
  beforeAll(async () => {
    server = await startTestServer();
    await addCompany(server.dataSource, ISOLDE);
    owner = await server.signedInAs(ISOLDE);
  });
  afterAll(() => server.stop());
  beforeEach(() => server.dataSource.query("DELETE FROM sign_in_attempt"));

  /** A code that was not used yet: the next step's, where this one's was. */
  const code = (steps = 0): string =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: Date.now() + steps * 30_000 });
  const freshCode = async (): Promise<string> => {
    await server.dataSource.query("UPDATE second_factor SET lastStep = 0");
    return code();
  };
  const signIn = (more: object = {}) =>
    server
      .stranger()
      .post("/api/v1/session")
      .send({ email: ISOLDE, password: PASSWORD, ...more });

  it("is set up with the password and a code of the authenticator, and answers recovery codes once", async () => {
    await owner.post("/api/v1/account/second-factor").send({ password: "wrong" }).expect(422);
    const begun = await owner.post("/api/v1/account/second-factor").send({ password: PASSWORD }).expect(201);
    secret = begun.body.secret;
    expect(begun.body.picture).toMatch(/^data:image\/png;base64,/);
    // Nothing is asked for before it was shown that it works.
    await signIn().expect(201);
    await owner.post("/api/v1/account/second-factor/confirm").send({ code: "000000" }).expect(422);
    const other = await server.signedInAs(ISOLDE);
    recovery = (await owner.post("/api/v1/account/second-factor/confirm").send({ code: code() }).expect(201)).body
      .recoveryCodes;
    expect(new Set(recovery).size).toBe(10);
    await other.get("/api/v1/jobs").expect(401);
    await owner.get("/api/v1/jobs").expect(200);
    expect((await owner.get("/api/v1/account/second-factor").expect(200)).body).toMatchObject({
      on: true,
      recoveryCodesLeft: 10,
    });
    const kept = JSON.stringify(await server.dataSource.query("SELECT * FROM recovery_code"));
    for (const each of recovery) expect(kept).not.toContain(each);
  });

  it("is asked for after the right password alone; the wrong one is told nothing of it", async () => {
    const asked = await signIn().expect(428);
    expect(asked.body.problems[0]).toMatchObject({ code: "second-factor", path: "code" });
    await signIn({ password: "guess" }).expect(401);
    await signIn({ code: "000000" }).expect(401);
    await signIn({ code: await freshCode() }).expect(201);
  });

  it("has each code taken once, by one of two at the same moment", async () => {
    const once = await freshCode();
    const both = await Promise.all([signIn({ code: once }), signIn({ code: once })]);
    expect(both.map(({ status }) => status).toSorted()).toEqual([201, 401]);
    const [first] = recovery;
    const [again] = [`${first?.toUpperCase()} `];
    await signIn({ code: again }).expect(201);
    await signIn({ code: first }).expect(401);
  });

  it("is guessed at ten times at most", async () => {
    for (let tries = 0; tries < 10; tries += 1) await signIn({ code: String(100_000 + tries) }).expect(401);
    await signIn({ code: await freshCode() }).expect(429);
  });

  it("is asked for when a forgotten password is set anew: a mailbox is one factor", async () => {
    const { hashToken } = await import("../sessions/tokens");
    const [{ id }] = await server.dataSource.query("SELECT id FROM user WHERE email = ?", [ISOLDE]);
    const expires = "UTC_TIMESTAMP() + INTERVAL 1 HOUR";
    await server.dataSource.query(
      `INSERT INTO password_reset (tokenHash, userId, expiresAt) VALUES (?, ?, ${expires})`,
      [hashToken("of a letter"), id],
    );
    const set = (more: object) =>
      server
        .stranger()
        .post("/api/v1/new-password")
        .send({ token: "of a letter", password: "wet rope and shovel", ...more });
    await set({}).expect(428);
    await set({ code: "000000" }).expect(401);
    await set({ code: await freshCode() }).expect(201);
    await server.stranger().post("/api/v1/session").send({ email: ISOLDE, password: PASSWORD }).expect(401);
  });

  it("that the company asks of all is set up before anything else; what one may do without is that", async () => {
    const sign = await server.stranger();
    const { body } = await sign
      .post("/api/v1/session")
      .send({ email: ISOLDE, password: "wet rope and shovel", code: await freshCode() })
      .expect(201);
    sign.set("x-csrf-token", body.csrfToken);
    await sign.patch("/api/v1/company/safety").send({ secondFactorForAll: true }).expect(200);
    const [{ companyId }] = await server.dataSource.query("SELECT companyId FROM user WHERE email = ?", [ISOLDE]);
    const { hash } = await import("@node-rs/argon2");
    await server.dataSource.query(
      "INSERT INTO user (id, companyId, email, name, role, passwordHash) VALUES (UUID(), ?, 'wren@dunnock.example', 'Wren', 'estimator', ?)",
      [companyId, await hash(PASSWORD)],
    );
    const wren = await server.signedInAs("wren@dunnock.example");
    expect((await wren.get("/api/v1/session").expect(200)).body.session.needsSecondFactor).toBe(true);
    const refused = await wren.get("/api/v1/jobs").expect(403);
    expect(refused.body.problems[0].code).toBe("second-factor-first");
    await wren.patch("/api/v1/account").send({ name: "W" }).expect(403);
    const begun = await wren.post("/api/v1/account/second-factor").send({ password: PASSWORD }).expect(201);
    secret = begun.body.secret;
    await wren.post("/api/v1/account/second-factor/confirm").send({ code: code() }).expect(201);
    await wren.get("/api/v1/jobs").expect(200);

    // The phone is lost, and the codes with it: an owner takes it out, and Wren sets up another.
    const { items } = (await sign.get("/api/v1/people").expect(200)).body;
    const id = items.find(({ email }: { email: string }) => email === "wren@dunnock.example").id;
    await sign.delete(`/api/v1/people/${id}/second-factor`).expect(200);
    await wren.get("/api/v1/jobs").expect(403);
    const log = (await sign.get("/api/v1/events").expect(200)).body.items;
    expect(log[0]).toMatchObject({ what: "second-factor-reset", who: "Isolde Dunnock", about: "Wren" });
  });

  it("is asked of all by nobody who has none", async () => {
    const ros = await server.signedInAs("ros@fernhollow.example");
    await ros.patch("/api/v1/company/safety").send({ secondFactorForAll: true }).expect(422);
  });
});
