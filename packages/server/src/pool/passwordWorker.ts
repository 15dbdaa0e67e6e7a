import { hashSync, verifySync } from "@node-rs/argon2";
import type { PasswordTask } from "../sessions/passwords";

/** Hashes or checks one password: each takes a core for tens of milliseconds. */
const worked = (task: PasswordTask): string | boolean =>
  task.does === "hash" ? hashSync(task.password) : verifySync(task.hash, task.password);

export default worked;
