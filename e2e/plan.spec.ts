import {
  addPart,
  addRectangle,
  backToParts,
  closePad,
  countSpots,
  enter,
  expect,
  ROS,
  saved,
  signIn,
  startJob,
  test,
} from "./support/app";

test("rooms joined into a storey share a wall, its door, and a new stud wall that takes its figures from them", async ({
  page,
  address,
}, { project }) => {
  await signIn(page, address, ROS);
  await startJob(page, `Joined (${project.name})`);
  await addRectangle(page, "Hall", "12'", "10'");
  await backToParts(page);
  await addRectangle(page, "Den", "8'", "10'");
  await page.getByRole("button", { name: "Join to a wall" }).click();
  await page.getByRole("radio", { name: "Its own wall: Wall D" }).click();
  await page.getByRole("radio", { name: "Which wall there: Wall B" }).click();
  await page.getByRole("button", { name: "Join", exact: true }).click();
  await expect(page.getByText("Wall D is the other side of Wall B of Hall.")).toBeVisible();

  // A door typed in the den is in the hall's wall too, and off its skirting.
  await page.getByRole("radio", { name: "Wall: D" }).click();
  await page.getByRole("button", { name: "Add a door in Wall D" }).click();
  await enter(page, "From the wall's start of Door 1", "2'");
  await enter(page, "Width of Door 1", "3'");
  await closePad(page);
  await page.getByRole("button", { name: "Build Wall D new, in studs" }).click();
  await expect(page.getByRole("heading", { name: "Den, Wall D" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Length: 10' 0\"" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Door 1, From left end: 2' 0\"" })).toBeVisible();
  await expect(page.getByText("Left end: meets another wall")).toBeVisible();
  await expect(page.getByTestId("live-count")).toHaveText(/^\d+ studs, \d+ pieces in all/);
  await backToParts(page);
  await page.getByRole("link", { name: /^Hall/ }).click();
  await expect(page.getByText("Door 1 is typed in Den, on the other side of Wall B.")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Net perimeter: 41' 0"/ })).toBeVisible();

  // The wall follows its room.
  await page.getByRole("button", { name: /^Wall B: 10' 0"/ }).click();
  await enter(page, "Wall B", "11'");
  await closePad(page);
  await page.getByRole("radio", { name: "Wall: B" }).click();
  await page.getByRole("link", { name: "Den, Wall D" }).click();
  await expect(page.getByRole("button", { name: "Length: 11' 0\"" })).toBeVisible();
  await backToParts(page);

  // Outside: 12' + 8' and three walls of 4 1/2; a tape that reads 21' is an inch and a half out.
  await page.getByRole("link", { name: "Plan of Ground" }).click();
  await expect(page.getByRole("button", { name: /^Outside, across the page: 21' 1 1\/2"/ })).toBeVisible();
  await page.getByRole("button", { name: /^Tape reading, Outside, across the page/ }).click();
  await enter(page, "Outside, across the page of Tape reading", "21'");
  await closePad(page);
  await expect(page.getByText('The tape differs by −1 1/2"')).toBeVisible();
  await page.getByRole("button", { name: /^North, With the clock from up the page/ }).click();
  await enter(page, "With the clock from up the page of North", "400");
  await expect(page.getByText("An angle is at most 360°.", { exact: false })).toBeVisible();
  await enter(page, "With the clock from up the page of North", "35");
  await expect(page.getByRole("button", { name: /^North, With the clock from up the page: 35°/ })).toBeVisible();

  // The next storey starts from this one.
  await page.getByLabel("Its name").fill("Ground");
  await page.getByRole("button", { name: "Copy Ground as its start" }).click();
  await expect(page.getByText("There is a storey “Ground” already.")).toBeVisible();
  await page.getByLabel("Its name").fill("Upper");
  await page.getByRole("button", { name: "Copy Ground as its start" }).click();
  await expect(page.getByRole("heading", { name: "Plan of Upper" })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Outside, across the page: 21' 1 1\/2"/ })).toBeVisible();
  await saved(page);
  // One step takes the whole copy back.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("heading", { name: "Plan of Ground" })).toBeVisible();
});

test("a room dragged near a wall snaps to it, and dropped on another it is an open point", async ({
  page,
  address,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await signIn(page, address, ROS);
  await startJob(page, "Dragged");
  await addRectangle(page, "Hall", "12'", "10'");
  await backToParts(page);
  await addRectangle(page, "Den", "8'", "10'");
  await backToParts(page);
  await page.getByRole("link", { name: "Plan of Ground" }).click();
  await page.getByRole("button", { name: "Move rooms" }).click();
  const canvas = page.getByTestId("plan-canvas");
  const box = await canvas.boundingBox();
  if (!box) throw new Error("no plan");
  /** The middle of a room's name on the plan. */
  const middleOf = async (name: string) => {
    const label = await canvas.locator("text", { hasText: new RegExp(`^${name}$`) }).boundingBox();
    if (!label) throw new Error(`no label ${name}`);
    return { x: label.x + label.width / 2, y: label.y + 20 };
  };
  const drag = async (by: { x: number; y: number }) => {
    const from = await middleOf("Den");
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    for (const share of [0.25, 0.5, 0.75, 1]) await page.mouse.move(from.x + by.x * share, from.y + by.y * share);
    await page.mouse.up();
  };
  const group = page.getByRole("group", { name: "Place of Den" });
  // The metre between them less the partition: the den goes left until it snaps.
  await drag({ x: -70, y: 12 });
  await expect(group.getByText("Den is joined to Hall.")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Outside, across the page: 21' 1 1\/2"/ })).toBeVisible();
  await drag({ x: -200, y: 90 });
  await expect(page.getByText(/^Den lies over Hall by .* sq ft\. Move one of them on the plan\.$/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(group.getByText("Den is joined to Hall.")).toBeVisible();
  await saved(page);
  // The plan can be magnified and shown whole again.
  await page.getByRole("button", { name: "Closer" }).click();
  await page.getByRole("button", { name: "The whole plan" }).click();
  await expect(canvas.locator("text", { hasText: /^Hall$/ })).toBeVisible();
});

test("closets count with their room, ceilings slope, and each measure shows how it came about", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Closets");
  await addRectangle(page, "Bedroom", "12'", "10'");
  await backToParts(page);
  await addRectangle(page, "Closet", "4'", "2'");
  await page.getByRole("radio", { name: "Counted with: Bedroom" }).click();
  await backToParts(page);
  await page.getByRole("link", { name: "Plan of Ground" }).click();
  await page.getByRole("button", { name: /^Floor area, inside: 128 sq ft/ }).click();
  await expect(page.getByText("Bedroom with Closet")).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await backToParts(page);
  await page.getByRole("link", { name: /^Bedroom/ }).click();
  await page.getByRole("radio", { name: "Shape: Sloped" }).click();
  await page.getByRole("button", { name: /^Ceiling, Highest height/ }).click();
  await enter(page, "Highest height of Ceiling", "7'");
  await expect(page.getByText("The highest height is above the lowest", { exact: false })).toBeVisible();
  await enter(page, "Highest height of Ceiling", "15'6");
  await closePad(page);
  // A 3-4-5 triangle: 10 ft across and 7'6 up is 12'6 along; 12 x 12.5 = 150 (arithmetic).
  await expect(page.getByRole("button", { name: /^Ceiling area: 150 sq ft/ })).toBeVisible();
  await page.getByRole("button", { name: /^Ceiling area: 150 sq ft/ }).click();
  await expect(page.getByText("120 sq ft × √(1 + 0.7500²) + 0 sq ft = 150 sq ft")).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await addLoose(page);
});

async function addLoose(page: import("@playwright/test").Page) {
  await backToParts(page);
  await addPart(page, "Length");
  await enter(page, "Length", "31'6");
  await backToParts(page);
  await addPart(page, "Area");
  await enter(page, "Length", "12'");
  await enter(page, "Width", "10'");
  await expect(page.getByRole("button", { name: /^Area: 120 sq ft/ })).toBeVisible();
  await backToParts(page);
  await addPart(page, "Counted spots");
  for (let press = 0; press < 3; press += 1) await page.getByRole("button", { name: "One more" }).click();
  await countSpots(page, "-2");
  await expect(page.getByText("A count is 0 or more.", { exact: false })).toBeVisible();
  await enter(page, "How many of post", "7");
  await backToParts(page);
  await expect(page.getByRole("link", { name: /^Spots 1.*7 × post/s })).toBeVisible();
  await expect(page.getByRole("link", { name: /^Length 1.*31.5 ft/s })).toBeVisible();
  await saved(page);
}
