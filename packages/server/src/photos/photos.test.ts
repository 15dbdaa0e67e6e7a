import { execFileSync } from "node:child_process";
import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import sharp from "sharp";
import { type Agent, addCompany, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
let stranger: Agent;
let jobId: string;
/** A picture that ships with the app. */
const png = readFileSync(resolve(__dirname, "../../../app/public/icons/icon-192.png"));

beforeAll(async () => {
  server = await startTestServer();
  await addCompany(server.dataSource, "isolde@dunnock.example");
  ros = await server.signedInAs("ros@fernhollow.example");
  stranger = await server.signedInAs("isolde@dunnock.example");
  jobId = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
});
afterAll(() => server.stop());

const at = (photoId: string, job = jobId) => `/api/v1/jobs/${job}/photos/${photoId}`;
const send = (agent: Agent, photoId: string, bytes: Buffer, type = "image/png") =>
  agent.put(at(photoId)).set("content-type", type).send(bytes);

describe("photos", () => {
  it("come back as they were sent; sent twice they are kept once", async () => {
    const id = randomUUID();
    const { body } = await send(ros, id, png).expect(200);
    expect(body).toEqual({ id, widthPx: 192, heightPx: 192 });
    await send(ros, id, png).expect(200);
    const answer = await ros.get(at(id)).expect(200);
    expect(answer.headers["content-type"]).toBe("image/png");
    expect(Buffer.compare(answer.body, png)).toBe(0);
  });

  it.each<[string, Buffer, number, RegExp]>([
    ["nothing", Buffer.alloc(0), 422, /no picture/],
    ["text", Buffer.from("not a picture"), 422, /no picture that can be shown/],
    [
      "a picture of another kind",
      Buffer.from("R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7", "base64"),
      422,
      /JPEG, a PNG or a WebP/,
    ],
    ["50 MB", Buffer.alloc(50 * 1024 * 1024, 1), 413, /Too large|at most 8 MB/],
  ])("refuse %s with a sentence, and stay able to answer", async (_what, bytes, status, why) => {
    const { body } = await send(ros, randomUUID(), bytes, "image/jpeg").expect(status);
    expect(`${body.title} ${body.detail}`).toMatch(why);
    await ros.get(`/api/v1/jobs/${jobId}`).expect(200);
  });

  it("are nobody else's", async () => {
    const id = randomUUID();
    await send(ros, id, png).expect(200);
    await stranger.get(at(id)).expect(404);
    await send(stranger, randomUUID(), png).expect(404);
    const other = (await stranger.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
    await stranger.put(at(id, other)).set("content-type", "image/png").send(png).expect(422);
    await server.anonymous.get(at(id)).expect(401);
  });

  it("need an id that is one", async () => {
    await send(ros, "mine", png).expect(422);
    await ros.get(at(randomUUID())).expect(404);
  });

  it("go with the job's file, and come in under ids of their own with the parts that name them", async () => {
    const photoId = randomUUID();
    await send(ros, photoId, png).expect(200);
    const wall = { ...newWall(), photos: [{ id: photoId, caption: "The rot" }] };
    await ros
      .put(`/api/v1/jobs/${jobId}/parts/${wall.id}`)
      .send({ commandId: randomUUID(), baseRevision: 0, part: wall })
      .expect(200);
    const file = (await ros.get(`/api/v1/jobs/${jobId}/file`).expect(200)).body;
    const copy = (await ros.post("/api/v1/job-files").send(file).expect(201)).body.id;
    const { body } = await ros.get(`/api/v1/jobs/${copy}`).expect(200);
    const copied = body.parts.flatMap((each: { part: { photos: { id: string }[] } }) => each.part.photos);
    expect(copied).toMatchObject([{ caption: "The rot" }]);
    expect(copied[0].id).not.toBe(photoId);
    await ros.get(at(copied[0].id, copy)).expect(200);
  });
});

describe("pictures that cannot be decoded", () => {
  it("are refused where they come in: a PNG cut short, and one of 400 million pixels in a few kilobytes", async () => {
    const cut = await send(ros, randomUUID(), png.subarray(0, Math.floor(png.length / 2))).expect(422);
    expect(cut.body.detail).toContain("broken");
    const wide = await sharp({
      create: { width: 20_000, height: 20_000, channels: 3, background: "#ffffff" },
      limitInputPixels: false,
    })
      .png({ compressionLevel: 9 })
      .toBuffer();
    expect(wide.length).toBeLessThan(8 * 1024 * 1024);
    const before = process.memoryUsage().rss;
    const answer = await send(ros, randomUUID(), wide).expect(413);
    expect(answer.body.detail).toContain("20000 × 20000");
    expect(process.memoryUsage().rss - before).toBeLessThan(500e6);
  }, 60_000);

  it("are refused in a job's file too, with the place", async () => {
    const file = (await ros.get(`/api/v1/jobs/${jobId}/file`).expect(200)).body;
    const broken = png.subarray(0, 400).toString("base64");
    const photos = [{ id: randomUUID(), contentType: "image/png", base64: broken }];
    const { body } = await ros
      .post("/api/v1/job-files")
      .send({ ...file, photos })
      .expect(422);
    expect(body.problems[0].path).toBe("photos.0");
  });

  it("and one that was kept before is left out of the quote, and said", async () => {
    const photoId = randomUUID();
    await send(ros, photoId, png).expect(200);
    const { body: job } = await ros.get(`/api/v1/jobs/${jobId}`).expect(200);
    const quote = { ...job.job.job.quote, pictures: [{ id: photoId, caption: "The gable" }] };
    const change = { commandId: randomUUID(), baseRevision: job.job.revision, changes: { quote } };
    await ros.patch(`/api/v1/jobs/${jobId}`).send(change).expect(200);
    const textOf = async () => {
      const { body } = await ros.get(`/api/v1/jobs/${jobId}/quote-draft.pdf`).expect(200);
      return execFileSync("pdftotext", ["-", "-"], { input: body }).toString();
    };
    expect(await textOf()).not.toContain("left out");
    const broken = Buffer.concat([png.subarray(0, 300), Buffer.alloc(50, 7)]);
    await server.dataSource.query("UPDATE photo SET bytes = ? WHERE id = ?", [broken, photoId]);
    expect(await textOf()).toContain("A picture is left out, as it cannot be read: The gable");
    await ros.get("/api/v1/health").expect(200);
  });
});

describe("a job file of rooms that name each other", () => {
  it("keeps joins, closets and walls on the plan together under new ids", async () => {
    const { body: list } = await ros.get("/api/v1/jobs").expect(200);
    const lantern = list.items.find((each: { job: { title: string } }) => each.job.title.startsWith("Lantern House"));
    const file = (await ros.get(`/api/v1/jobs/${lantern.id}/file`).expect(200)).body;
    const copy = (await ros.post("/api/v1/job-files").send(file).expect(201)).body.id;
    const { body } = await ros.get(`/api/v1/jobs/${copy}`).expect(200);
    const ids = new Set(body.parts.map((each: { id: string }) => each.id));
    const named = body.parts.flatMap(
      ({ part }: { part: Record<string, { toRoomId?: string; roomId?: string } | string | null> }) => {
        const { place, plan, belongsTo } = part;
        const fromPlace = typeof place === "object" && place?.toRoomId ? [place.toRoomId] : [];
        const fromPlan = typeof plan === "object" && plan?.roomId ? [plan.roomId] : [];
        return [...fromPlace, ...fromPlan, ...(typeof belongsTo === "string" ? [belongsTo] : [])];
      },
    );
    expect(named.length).toBeGreaterThan(8);
    for (const id of named) expect(ids.has(id)).toBe(true);
    const old = new Set(file.parts.map((each: { id: string }) => each.id));
    for (const id of ids) expect(old.has(id)).toBe(false);
  });
});
