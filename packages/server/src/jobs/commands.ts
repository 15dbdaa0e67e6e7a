import type { EntityManager } from "typeorm";
import { HttpProblem } from "../http/problemDetails";
import { commandEntity } from "./entity";

export type Command = { readonly companyId: string; readonly commandId: string; readonly target: string };

/**
 * Carries out a change once: a command seen before gets its first answer again. Runs inside the caller's transaction, so
 * that the change and the note of it stand or fall together.
 */
export async function once<T>(manager: EntityManager, command: Command, change: () => Promise<T>): Promise<T> {
  const commands = manager.getRepository(commandEntity);
  const seen = await commands.findOneBy({ companyId: command.companyId, id: command.commandId });
  if (seen && seen.target !== command.target) {
    throw new HttpProblem(422, {
      detail: "This command id was used for another record.",
      problems: [
        { code: "command-reused", path: "commandId", message: "This command id was used for another record." },
      ],
    });
  }
  // The stored answer is what `change` returned, kept as JSON.
  if (seen) return seen.answer as T;
  const answer = await change();
  const { companyId, commandId: id, target } = command;
  await commands.insert({ companyId, id, target, answer: answer as object, createdAt: new Date() });
  return answer;
}
