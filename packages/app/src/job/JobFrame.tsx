import { plural } from "@wide-porch/core";
import { type Href, Link, usePathname, useRouter } from "expo-router";
import { memo, type PropsWithChildren } from "react";
import { Pressable, View } from "react-native";
import { seesCosts, useSession } from "../api/session";
import { IconButton } from "../components/Button";
import { Faint, Strong, Title } from "../components/Text";
import {
  ChevronLeft,
  Coins,
  FileText,
  HardHat,
  Layers,
  ListChecks,
  type LucideIcon,
  Redo2,
  Ruler,
  Stamp,
  Tags,
  Undo2,
} from "../icons";
import { useMeter, useWaitingReadings } from "../meter/readings";
import { simulatedMeter } from "../meter/simulatedMeter";
import { useTokens } from "../theme/useTokens";
import { useWide } from "../theme/useWide";
import { useJob } from "./JobContext";
import { OpenPointsMark } from "./OpenPoints";
import { useIsPadOpen } from "./padOpen";
import { Shortcuts } from "./Shortcuts";
import { StuckNotice } from "./StuckNotice";
import { SyncMark } from "./SyncMark";
import { TrialBar } from "./TrialBar";

type Place = { readonly path: string; readonly label: string; readonly icon: LucideIcon; readonly costs: boolean };

const PLACES: readonly Place[] = [
  { path: "measure", label: "Measure", icon: Ruler, costs: false },
  { path: "count", label: "Count", icon: ListChecks, costs: false },
  { path: "price", label: "Price", icon: Coins, costs: true },
  { path: "quote", label: "Quote", icon: FileText, costs: true },
];

const PLACES_WITHOUT_COSTS = PLACES.filter((place) => !place.costs);

/** The four places of a job: a bar under the thumb, or a rail at the left where there is room. */
export function JobFrame({ children }: PropsWithChildren) {
  const wide = useWide();
  const pathname = usePathname();
  const { record } = useJob("record");
  const session = useSession().data;
  const mayPrice = session ? seesCosts(session) : false;
  const places = mayPrice ? PLACES : PLACES_WITHOUT_COSTS;
  const padOpen = useIsPadOpen();
  useMeter(simulatedMeter);
  const back = backFrom(pathname, record.id);
  return (
    <View className={`flex-1 bg-paper ${wide ? "flex-row" : ""}`}>
      {wide ? <Rail places={places} jobId={record.id} pathname={pathname} /> : null}
      <View className="min-h-0 flex-1">
        <Header back={back} />
        <StuckNotice />
        <TrialBar />
        <Shortcuts />
        <View role="main" className="min-h-0 flex-1">
          {children}
        </View>
      </View>
      {wide || padOpen ? null : <BottomBar places={places} jobId={record.id} pathname={pathname} />}
    </View>
  );
}

type Back = { readonly to: string; readonly name: string };

/** From a part to the parts, from the worksheet to the price, and from all else to the jobs. */
function backFrom(pathname: string, jobId: string): Back {
  if (/\/measure\/[^/]+/.test(pathname)) return { to: `/jobs/${jobId}/measure`, name: "Back to the parts" };
  if (/\/price\/[^/]+/.test(pathname)) return { to: `/jobs/${jobId}/price`, name: "Back to the price" };
  return { to: "/jobs", name: "Back to jobs" };
}

function Header({ back }: { readonly back: Back }) {
  const router = useRouter();
  const { record, undo, redo } = useJob("record", "undo", "redo");
  return (
    <View role="banner" className="border-b border-rule bg-paper pb-1 pl-1 pr-2 pt-1">
      <View className="flex-row items-center">
        <IconButton name={back.name} icon={ChevronLeft} onPress={() => router.replace(back.to as Href)} />
        <View className="min-w-0 flex-1">
          <Title level={1} numberOfLines={1} className="text-lg">
            {record.job.title}
          </Title>
          <Faint numberOfLines={1}>{record.job.customerName}</Faint>
        </View>
        <IconButton name="Undo" icon={Undo2} disabled={!undo} onPress={() => undo?.()} />
        <IconButton name="Redo" icon={Redo2} disabled={!redo} onPress={() => redo?.()} />
      </View>
      <View className="flex-row items-center justify-between pl-3">
        <SyncMark />
        <WaitingReadings />
        <OpenPointsMark />
      </View>
    </View>
  );
}

/** Readings that came while no entry was open: they are on the tape pad's chips. */
function WaitingReadings() {
  const { length } = useWaitingReadings();
  if (length === 0) return null;
  return <Faint role="status">{plural(length, "1 reading waits", `${length} readings wait`)}</Faint>;
}

type BarProps = { readonly places: readonly Place[]; readonly jobId: string; readonly pathname: string };

const isHere = (pathname: string, jobId: string, place: Place) => pathname.startsWith(`/jobs/${jobId}/${place.path}`);

const BottomBar = memo(function BottomBar({ places, jobId, pathname }: BarProps) {
  return (
    <View role="navigation" aria-label="Job" className="flex-row border-t border-rule bg-sheet">
      {places.map((place) => (
        <PlaceLink
          key={place.path}
          place={place}
          jobId={jobId}
          here={isHere(pathname, jobId, place)}
          className="h-16 flex-1 items-center justify-center gap-0.5"
        />
      ))}
    </View>
  );
});

const Rail = memo(function Rail({ places, jobId, pathname }: BarProps) {
  return (
    <View className="w-40 border-r border-rule bg-sheet p-2 pt-4">
      <View className="pb-4 pl-2">
        <Title level={2} aria-hidden>
          Wide Porch
        </Title>
      </View>
      <View role="navigation" aria-label="Job" className="gap-1">
        {places.map((place) => (
          <PlaceLink
            key={place.path}
            place={place}
            jobId={jobId}
            here={isHere(pathname, jobId, place)}
            className="min-h-12 flex-row items-center gap-3 rounded-md px-3"
          />
        ))}
      </View>
      <View role="navigation" aria-label="Company" className="mt-3 gap-1 border-t border-rule pt-3">
        {OUTSIDE.map(({ href, label, icon: Icon }) => (
          <OutsideLink key={href} href={href} label={label} icon={Icon} />
        ))}
      </View>
    </View>
  );
});

/** The company's own pages, beside those of the job. */
const OUTSIDE = [
  { href: "/jobs", label: "Jobs", icon: ListChecks },
  { href: "/assemblies", label: "Assemblies", icon: Layers },
  { href: "/price-list", label: "Price list", icon: Tags },
  { href: "/standards", label: "Standards", icon: HardHat },
  { href: "/company", label: "Company", icon: Stamp },
] as const;

type OutsideProps = { readonly href: string; readonly label: string; readonly icon: LucideIcon };

function OutsideLink({ href, label, icon: Icon }: OutsideProps) {
  const { colour } = useTokens();
  return (
    <Link href={href as Href} asChild>
      <Pressable aria-label={label} className="min-h-12 flex-row items-center gap-3 rounded-md px-3">
        <Icon size={22} color={colour("faint")} aria-hidden />
        <Strong className="text-sm text-faint">{label}</Strong>
      </Pressable>
    </Link>
  );
}

function PlaceLink({
  place,
  jobId,
  here,
  className,
}: {
  place: Place;
  jobId: string;
  here: boolean;
  className: string;
}) {
  const { colour } = useTokens();
  const Icon = place.icon;
  return (
    <Link href={`/jobs/${jobId}/${place.path}` as Href} asChild>
      <Pressable
        aria-current={here ? "page" : undefined}
        aria-label={place.label}
        className={`${className} ${here ? "bg-pine-wash" : ""}`}
      >
        <Icon size={22} color={colour(here ? "pine" : "faint")} aria-hidden />
        <Strong className={`text-sm ${here ? "text-pine" : "text-faint"}`}>{place.label}</Strong>
      </Pressable>
    </Link>
  );
}
