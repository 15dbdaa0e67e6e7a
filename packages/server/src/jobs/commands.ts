import type { EntityManager } from "typeorm";
import type { UserRow } from "../companies/entity";
import { HttpProblem } from "../http/problemDetails";
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
  const answer = await change();
  await commands.insert({ companyId, id, target, kind, userId, answer: answer as object, createdAt: new Date() });
  return answer;
}
