import { newestAssemblies, plural, usedAssemblies } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { useMemo } from "react";
import { Strong } from "../components/Text";
import { useJob } from "../job/JobContext";

/** The way to how the job is built; it says so where an assembly has a newer version than the job was counted with. */
export function BuiltLink() {
  const { parts, rules, record, jobId } = useJob("parts", "rules", "record", "jobId");
  const { system } = record.job;
  const newer = useMemo(() => {
    const newest = new Map(newestAssemblies(system, rules.assemblies).map((each) => [each.id, each.version]));
    return usedAssemblies(parts).filter((ref) => (newest.get(ref.id) ?? 0) > ref.version).length;
  }, [parts, rules, system]);
  const words = plural(newer, "1 assembly has a newer version", `${newer} assemblies have newer versions`);
  return (
    <Link href={`/jobs/${jobId}/built` as Href}>
      <Strong className={`text-sm underline ${newer > 0 ? "text-clay" : "text-pine"}`}>
        {newer > 0 ? `${words}: see what would change` : "How it is built: house standard and assemblies"}
      </Strong>
    </Link>
  );
}
