import type { Expression, Language } from "../assemblies";
import { listed } from "../units";

type Call = Expression & { is: "call" };

/** Whether a function tells of the layout: in a working it stands as its value alone. */
export const isOfLayout = (name: string, { functions }: Language): boolean => functions.get(name)?.told !== undefined;

/** What a function of the layout gives, in a builder's words; `text` is the formula it stands in. */
export function layoutWords(call: Call, text: string, { functions, roles }: Language): string {
  const said = (index: number) => {
    const span = call.args[index]?.span;
    return span ? text.slice(span.from, span.to) : "";
  };
  const roleWords = (id: string) => roles.find((role) => role.id === id)?.words ?? id;
  const named = listed(call.args.flatMap((arg) => (arg.is === "text" ? [roleWords(arg.value)] : [])));
  return functions.get(call.name)?.told?.({ roles: named, argument: said }) ?? call.name;
}
