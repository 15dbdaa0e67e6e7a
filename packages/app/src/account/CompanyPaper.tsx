import { detailLines } from "@wide-porch/core";
import { View } from "react-native";
import type { Company } from "../api/records";
import { Faint, Title } from "../components/Text";
import { CompanyMark } from "./CompanyMark";

/** The head of its quotes, as customers have it. */
export const CompanyPaper = ({ company: { name, address, profile } }: { readonly company: Company }) => (
  <View
    role="img"
    aria-label="The head of your quotes"
    className="flex-row gap-3 border border-rule bg-sheet px-5 py-6 shadow-sm"
  >
    <View className="min-w-0 flex-1">
      <Title level={2} className="text-xl text-pine">
        {name}
      </Title>
      <Faint>{address}</Faint>
      {detailLines(profile).map((line) => (
        <Faint key={line}>{line}</Faint>
      ))}
    </View>
    {profile.mark === null ? null : <CompanyMark id={profile.mark} className="h-16 w-28" />}
  </View>
);
