import { JOB_SHELVES, type JobShelf, type JobStage } from "@wide-porch/core";
import { type Href, Link, useRouter } from "expo-router";
import { useDeferredValue, useState } from "react";
import { ScrollView, View } from "react-native";
import useSWR from "swr";
import { jobListSchema } from "../api/records";
import { seesCosts, signOut, useSession } from "../api/session";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { FileButton } from "../components/FileButton";
import { Folded } from "../components/Folded";
import { Faint, Strong, Title } from "../components/Text";
import { TextField } from "../components/TextField";
import { Pending } from "../components/Waiting";
import { askKept } from "../device/kept";
import { LogOut, Plus, UserRound } from "../icons";
import { DeletedJobs } from "./DeletedJobs";
import { type ImportFailure, ImportProblems, importJobFile } from "./importJob";
import { JobList, UnknownJobs } from "./JobList";
import { type JobSort, SHELF_WORDS, SORTS, STAGE_WORDS, STAGES } from "./jobWords";

const PER_PAGE = 50;
/** The server looks for no more. */
const MOST_LETTERS = 160;
type Asked = {
  readonly page: number;
  readonly find: string;
  readonly shelf: Shelf;
  readonly stage: JobStage | "any";
  readonly sort: JobSort;
};
/** What is deleted is kept for some weeks. */
type Shelf = JobShelf | "deleted";
const jobsKey = ({ page, find, shelf, stage, sort }: Asked): string =>
  [
    `/jobs?page=${page}`,
    find === "" ? "" : `&find=${encodeURIComponent(find)}`,
    shelf === "open" ? "" : `&shelf=${shelf}`,
    stage === "any" ? "" : `&stage=${stage}`,
    sort === "changed" ? "" : `&sort=${sort}`,
  ].join("");

const DELETED = { value: "deleted", label: "Deleted" } as const;

function noneWords(find: string, shelf: Shelf, mayStart: boolean): string {
  if (find !== "") return `No job has “${find}”.`;
  if (shelf === "archived") return "Nothing is put away. A job is put away on its price page.";
  if (shelf === "template") return "No templates yet. A copy of any job can be kept as one, on its price page.";
  return mayStart ? "No jobs yet. Start one: a name and a customer are enough." : "No jobs yet.";
}

export function JobsScreen() {
  const router = useRouter();
  const session = useSession().data;
  const [page, setPage] = useState(1);
  const [typed, setTyped] = useState("");
  // What is still being typed is not asked for letter by letter.
  const find = useDeferredValue(typed.trim().slice(0, MOST_LETTERS));
  const [shelf, setShelf] = useState<Shelf>("open");
  const [stage, setStage] = useState<JobStage | "any">("any");
  const [sort, setSort] = useState<JobSort>("changed");
  const key = jobsKey({ page, find, shelf, stage, sort });
  const jobs = useSWR(
    shelf === "deleted" ? null : key,
    () => askKept(jobListSchema, `${key}&perPage=${PER_PAGE}`, key),
    { keepPreviousData: true },
  );
  if (!session) return null;
  const turn =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      setPage(1);
    };
  const mayStart = seesCosts(session);
  return (
    <View className="min-h-0 flex-1">
      <View role="banner" className="flex-row items-center border-b border-rule px-4 py-2">
        <View className="min-w-0 flex-1">
          <Title numberOfLines={1}>{session.company.name}</Title>
          <Faint>{session.user.name}</Faint>
        </View>
        <IconButton name="You" icon={UserRound} onPress={() => router.push("/account" as Href)} />
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
            {mayStart ? (
              <Link href={"/company" as Href}>
                <Strong className="text-pine underline">Company</Strong>
              </Link>
            ) : null}
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
        <Folded
          title="Shown and sorted"
          under={[shelf === "deleted" ? DELETED.label : SHELF_WORDS[shelf], stage === "any" ? "" : STAGE_WORDS[stage]]
            .filter(Boolean)
            .join(", ")}
        >
          <Choice
            label="Kept"
            value={shelf}
            onChange={turn(setShelf)}
            options={[
              ...JOB_SHELVES.map((value) => ({ value, label: SHELF_WORDS[value] })),
              ...(mayStart ? [DELETED] : []),
            ]}
          />
          {shelf === "deleted" ? null : (
            <Choice
              label="How far"
              value={stage}
              onChange={turn(setStage)}
              options={[{ value: "any" as const, label: "Any" }, ...STAGES]}
            />
          )}
          {mayStart && shelf !== "deleted" ? (
            <Choice label="Sorted by" value={sort} onChange={turn(setSort)} options={SORTS} />
          ) : null}
        </Folded>
        {shelf === "deleted" ? <DeletedJobs find={find} /> : null}
        {shelf === "deleted" ? null : jobs.data ? (
          <>
            <JobList jobs={jobs.data.items} seesCosts={mayStart} none={noneWords(find, shelf, mayStart)} />
            <UnknownJobs jobs={jobs.data.unknown} />
          </>
        ) : (
          <Pending error={jobs.error} what="the jobs" retry={() => void jobs.mutate()} />
        )}
        {shelf !== "deleted" && jobs.data && jobs.data.total > PER_PAGE ? (
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
