import { formatDistanceToNow } from "date-fns/formatDistanceToNow";
import { type Href, Link, useRouter } from "expo-router";
import { useDeferredValue, useState } from "react";
import { Pressable, ScrollView, View } from "react-native";
import useSWR from "swr";
import { type JobRecord, jobListSchema, type UnknownJob } from "../api/records";
import { seesCosts, signOut, useSession } from "../api/session";
import { Button, IconButton } from "../components/Button";
import { FileButton } from "../components/FileButton";
import { Body, Faint, Strong, Title } from "../components/Text";
import { TextField } from "../components/TextField";
import { Pending } from "../components/Waiting";
import { askKept } from "../device/kept";
import { LogOut, Plus } from "../icons";
import { type ImportFailure, ImportProblems, importJobFile } from "./importJob";

const PER_PAGE = 50;
/** The server looks for no more. */
const MOST_LETTERS = 160;
const jobsKey = (page: number, find: string): string =>
  `/jobs?page=${page}${find === "" ? "" : `&find=${encodeURIComponent(find)}`}`;

export function JobsScreen() {
  const session = useSession().data;
  const [page, setPage] = useState(1);
  const [typed, setTyped] = useState("");
  // What is still being typed is not asked for letter by letter.
  const find = useDeferredValue(typed.trim().slice(0, MOST_LETTERS));
  const key = jobsKey(page, find);
  const jobs = useSWR(key, () => askKept(jobListSchema, `${key}&perPage=${PER_PAGE}`, key), { keepPreviousData: true });
  if (!session) return null;
  const mayStart = seesCosts(session);
  return (
    <View className="min-h-0 flex-1">
      <View role="banner" className="flex-row items-center border-b border-rule px-4 py-2">
        <View className="min-w-0 flex-1">
          <Title numberOfLines={1}>{session.company.name}</Title>
          <Faint>{session.user.name}</Faint>
        </View>
        <IconButton name="Sign out" icon={LogOut} onPress={() => void signOut()} />
      </View>
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-3xl gap-4 p-4 pb-24"
      >
        <View className="flex-row items-baseline justify-between">
          <Title level={2}>Jobs</Title>
          <View className="flex-row gap-4">
            <Link href={"/assemblies" as Href}>
              <Strong className="text-pine underline">Assemblies</Strong>
            </Link>
            <Link href={"/price-list" as Href}>
              <Strong className="text-pine underline">Price list</Strong>
            </Link>
          </View>
        </View>
        <TextField
          label="Find a job by its name, customer or site"
          value={typed}
          onChangeText={(text) => {
            setTyped(text);
            setPage(1);
          }}
        />
        {jobs.data ? (
          <>
            <JobList jobs={jobs.data.items} mayStart={mayStart} find={find} />
            <UnknownJobs jobs={jobs.data.unknown} />
          </>
        ) : (
          <Pending error={jobs.error} what="the jobs" retry={() => void jobs.mutate()} />
        )}
        {jobs.data && jobs.data.total > PER_PAGE ? (
          <View className="flex-row justify-between">
            <Button label="Newer" kind="plain" disabled={page === 1} onPress={() => setPage(page - 1)} />
            <Button
              label="Older"
              kind="plain"
              disabled={page * PER_PAGE >= jobs.data.total}
              onPress={() => setPage(page + 1)}
            />
          </View>
        ) : null}
        {mayStart ? <BringIn /> : null}
      </ScrollView>
      {mayStart ? <StartBar /> : null}
    </View>
  );
}

type ListProps = { readonly jobs: readonly JobRecord[]; readonly mayStart: boolean; readonly find: string };

function JobList({ jobs, mayStart, find }: ListProps) {
  if (jobs.length === 0 && find !== "") return <Body>{`No job has “${find}”.`}</Body>;
  if (jobs.length === 0) {
    return <Body>{mayStart ? "No jobs yet. Start one: a name and a customer are enough." : "No jobs yet."}</Body>;
  }
  return (
    <View role="list">
      {jobs.map((record) => (
        <View key={record.id} role="listitem">
          <Link href={`/jobs/${record.id}/measure` as Href} asChild>
            <Pressable className="min-h-16 gap-0.5 border-b border-rule py-3 active:bg-pine-wash">
              <Strong className="text-lg">{record.job.title}</Strong>
              <Body>{record.job.customerName}</Body>
              <Faint>
                {record.job.system === "imperial" ? "Feet and inches" : "Metric"}, {record.job.currency}. Changed{" "}
                {formatDistanceToNow(new Date(record.updatedAt), { addSuffix: true })}.
              </Faint>
            </Pressable>
          </Link>
        </View>
      ))}
    </View>
  );
}

/** Jobs of a newer version: they are there, and nothing is done to them here. */
function UnknownJobs({ jobs }: { readonly jobs: readonly UnknownJob[] }) {
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

function StartBar() {
  const router = useRouter();
  return (
    <View className="absolute bottom-4 left-0 right-0 items-center px-4">
      <Button
        label="Start a job"
        icon={Plus}
        className="w-full max-w-sm shadow-md"
        onPress={() => router.push("/jobs/new" as Href)}
      />
    </View>
  );
}

function BringIn() {
  const router = useRouter();
  const [failure, setFailure] = useState<ImportFailure>();
  const choose = async (file: File) => {
    const result = await importJobFile(file);
    if (typeof result === "string") router.push(`/jobs/${result}/measure` as Href);
    else setFailure(result);
  };
  return (
    <View className="items-start gap-2">
      <FileButton
        label="Bring in a job file"
        name="Job file"
        accept="application/json,.json"
        onFile={(file) => void choose(file)}
      />
      {failure ? <ImportProblems failure={failure} /> : null}
    </View>
  );
}
