import { setTimeout as pause } from "node:timers/promises";

/** The link of the newest letter to an address, on the page of the stand-in for a mail server. */
export async function linkTo(api, email) {
  const { letters } = await (await fetch(`${api}/set-up`)).json();
  for (let tries = 0; tries < 200; tries += 1) {
    const answer = await fetch(`${letters}/letters`).catch(() => undefined);
    const { items } = answer ? await answer.json() : { items: [] };
    const link = items.find(({ to }) => to === email)?.text.match(/https?:\S+/)?.[0];
    if (link) return link;
    await pause(50);
  }
  throw new Error(`linkTo: no letter to ${email}`);
}
