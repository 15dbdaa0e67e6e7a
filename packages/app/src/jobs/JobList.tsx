import { formatDistanceToNow } from "date-fns/formatDistanceToNow";
import { type Href, Link } from "expo-router";
import { Pressable, View } from "react-native";
import type { JobListItem, UnknownJob } from "../api/records";
import { Body, Faint, Strong } from "../components/Text";
import { JobTotal } from "./JobTotal";
import { STAGE_WORDS } from "./jobWords";

type Props = { readonly jobs: readonly JobListItem[]; readonly seesCosts: boolean; readonly none: string };

/** Jobs one under another, each with how far it has come and what it comes to. */
export function JobList({ jobs, seesCosts, none }: Props) {
  if (jobs.length === 0) return <Body>{none}</Body>;
  return (
    <View role="list">
      {jobs.map((record) => (
        <View key={record.id} role="listitem">
          <Link href={`/jobs/${record.id}/measure` as Href} asChild>
            <Pressable className="min-h-16 flex-row items-center gap-3 border-b border-rule py-3 active:bg-pine-wash">
              <View className="min-w-0 flex-1 gap-0.5">
                <Strong className="text-lg">{record.job.title}</Strong>
                <Body>{record.job.customerName}</Body>
                <Faint>
                  {`${STAGE_WORDS[record.job.stage]}. ${record.job.system === "imperial" ? "Feet and inches" : "Metric"}, ${record.job.currency}. Changed ${formatDistanceToNow(new Date(record.updatedAt), { addSuffix: true })}.`}
                </Faint>
              </View>
              {seesCosts ? <JobTotal record={record} /> : null}
            </Pressable>
          </Link>
        </View>
      ))}
    </View>
  );
}

/** Jobs of a newer version: they are there, and nothing is done to them here. */
export function UnknownJobs({ jobs }: { readonly jobs: readonly UnknownJob[] }) {
  if (jobs.length === 0) return null;
  return (
    <View role="list" aria-label="Jobs that this version does not know">
      {jobs.map(({ id, job }) => (
        <View key={id} role="listitem" className="gap-0.5 border-b border-rule py-3">
          <Strong className="text-lg">{job.title}</Strong>
          <Body>{job.customerName}</Body>
          <Faint>Made by a newer version of Wide Porch, and kept as it is. Reload the page to open it.</Faint>
        </View>
      ))}
    </View>
  );
}
