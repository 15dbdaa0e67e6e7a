import { createHash } from "node:crypto";
import type { DataSource, EntityManager } from "typeorm";
import { z } from "zod";
import type { UserRow } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { HttpProblem, unfit } from "../http/problemDetails";
import type { Received } from "../http/received";
import { type CommandKind, commandEntity } from "./entity";

export type Command = {
  readonly companyId: string;
  readonly commandId: string;
  readonly target: string;
  readonly kind: CommandKind;
  readonly userId: string;
};

export const commandOf = (
  { companyId, id: userId }: Pick<UserRow, "companyId" | "id">,
  kind: CommandKind,
  commandId: string,
  target: string,
): Command => ({ companyId, userId, kind, commandId, target });

/**
 * Carries out a change once: a command seen before gets its first answer again, if it is the same change of the same record
 * by the same person. Runs inside the caller's transaction, so that the change and the note of it stand or fall together.
 */
export async function once<T>(manager: EntityManager, command: Command, change: () => Promise<T>): Promise<T> {
  const { companyId, commandId: id, target, kind, userId } = command;
  const commands = manager.getRepository(commandEntity);
  const seen = await commands.findOneBy({ companyId, id });
  if (seen && (seen.target !== target || seen.kind !== kind || seen.userId !== userId)) {
    const message = "This command id was used for another change.";
    throw new HttpProblem(422, { detail: message, problems: [{ code: "command-reused", path: "commandId", message }] });
  }
  // The stored answer is what `change` returned, kept as JSON.
  if (seen) return seen.answer as T;
  // Noted first: the same sent at the same moment waits here, meets the note, and is answered by it.
  await commands.insert({ companyId, id, target, kind, userId, answer: {}, createdAt: new Date() });
  const answer = await change();
  await commands.update({ companyId, id }, { answer: answer as object });
  return answer;
}

/** What a request asks for: where, and the body. The same name for something else is refused. */
function askedFor({ params, body }: Received): string {
  const hash = createHash("sha256").update(JSON.stringify(params));
  if (body instanceof Uint8Array) hash.update(body);
  else hash.update(JSON.stringify(body ?? null));
  return hash.digest("hex").slice(0, 36);
}

/**
 * A change in a transaction of its own that can be sent twice: under the same `Idempotency-Key` it is made once, and answered alike. Without
 * one it is made as often as it is sent.
 */
export function changeOnce<T>(
  dataSource: DataSource,
  { user, received }: { readonly user: UserRow; readonly received: Received },
  kind: CommandKind,
  change: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  const { commandId } = received;
  if (commandId === undefined) return inTransaction(dataSource, change);
  if (!z.uuid().safeParse(commandId).success) {
    throw unfit([{ code: "command-id", path: "Idempotency-Key", message: "The name of a change is a UUID." }]);
  }
  const command = commandOf(user, kind, commandId, askedFor(received));
  return inTransaction(dataSource, (manager) => once(manager, command, () => change(manager)));
}
