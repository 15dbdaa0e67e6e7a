import { type Href, Link } from "expo-router";
import type { PropsWithChildren } from "react";
import { ScrollView, View } from "react-native";
import useSWR, { mutate } from "swr";
import { ask } from "../api/client";
import { type Company, companySchema } from "../api/records";
import { isOwner, refreshSession, useSession } from "../api/session";
import { FailureNotice } from "../components/FailureNotice";
import { Notice } from "../components/Notice";
import { PageBar } from "../components/PageBar";
import { Body, Faint, Strong, Title } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { Pending } from "../components/Waiting";
import { askKept } from "../device/kept";
import { CompanyFields } from "./CompanyFields";
import { CompanyPaper } from "./CompanyPaper";
import { ChangeCompany, type CompanyChange } from "./changeCompany";
import { MarkField } from "./MarkField";
import { NumberingFields } from "./NumberingFields";
import { Registers } from "./Registers";

const KEY = "/company";

/** What the company is: the head of its quotes, how they are numbered, what a new job starts with. */
export function CompanyScreen() {
  const session = useSession().data;
  const company = useSWR(KEY, () => askKept(companySchema, KEY, KEY));
  if (!session) return null;
  return (
    <View className="min-h-0 flex-1">
      <PageBar title="Company" backName="Back to jobs" backTo="/jobs" />
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-xl gap-6 p-4 pb-16"
      >
        <View className="flex-row flex-wrap gap-x-5 gap-y-2">
          {isOwner(session) ? <PageLink href="/people" label="People" /> : null}
          {isOwner(session) ? <PageLink href="/safety" label="Safety" /> : null}
          <PageLink href="/price-list" label="Price list" />
          <PageLink href="/assemblies" label="Assemblies" />
          <PageLink href="/standards" label="Standards" />
        </View>
        {company.data ? (
          <Loaded company={company.data} mayChange={isOwner(session)} />
        ) : (
          <Pending error={company.error} what="the company" retry={() => void company.mutate()} />
        )}
      </ScrollView>
    </View>
  );
}

const PageLink = ({ href, label }: { readonly href: string; readonly label: string }) => (
  <Link href={href as Href} className="min-h-12 py-3">
    <Strong className="text-pine underline">{label}</Strong>
  </Link>
);

function Loaded({ company, mayChange }: { readonly company: Company; readonly mayChange: boolean }) {
  if (!mayChange) {
    return (
      <>
        <CompanyPaper company={company} />
        <Notice title="For owners">
          <Body>Only an owner of the company changes this.</Body>
        </Notice>
      </>
    );
  }
  return (
    <Changing>
      <CompanyPaper company={company} />
      <CompanyFields company={company} />
      <Registers registers={company.profile.registers} />
      <MarkField company={company} onChanged={(next) => void mutate(KEY, next, { revalidate: false })} />
      <NumberingFields numbering={company.profile.numbering} />
      <Body>Quotes that were issued stay as they are.</Body>
      <View className="gap-2">
        <Title level={2}>Everything as files</Title>
        <Faint>Jobs, prices, assemblies and people in one ZIP. Each job in it can be brought in again.</Faint>
        {/* Fetched by the browser itself: it may be larger than the page could hold. */}
        <Link href={"/api/v1/company/file" as Href} download="company.zip" className="min-h-12 py-3">
          <Strong className="text-pine underline">Take it all along</Strong>
        </Link>
      </View>
    </Changing>
  );
}

function Changing({ children }: PropsWithChildren) {
  const session = useSession().data;
  const { failure, attempt } = useAttempt();
  const change = (wanted: CompanyChange) =>
    void attempt(async () => {
      const next = await ask(companySchema, "PATCH", KEY, wanted);
      await mutate(KEY, next, { revalidate: false });
      if (session) await refreshSession({ ...session, company: { ...session.company, ...next } });
    });
  return (
    <ChangeCompany.Provider value={change}>
      <Title level={2} className="sr-only">
        What the company is
      </Title>
      <FailureNotice title="Not changed" failure={failure} />
      {children}
    </ChangeCompany.Provider>
  );
}
