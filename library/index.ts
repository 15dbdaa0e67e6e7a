import {
  type Assembly,
  assemblySchema,
  type CompanySettings,
  companySettingsSchema,
  type Library,
  type PriceItem,
  priceItemSchema,
  sectionSchema,
} from "@wide-porch/core";
import { z } from "zod";
import studWallImperial from "./assemblies/stud-wall-imperial.json";
import studWallMetric from "./assemblies/stud-wall-metric.json";
import companySettings from "./company-settings.json";
import priceList from "./price-list.json";
import sections from "./sections.json";

const assemblies: readonly Assembly[] = z.array(assemblySchema).parse([studWallImperial, studWallMetric]);

/** The timber sections and assemblies that ship with the product, checked as they are loaded. */
export const library: Library = {
  sections: Object.fromEntries(
    z
      .array(sectionSchema)
      .parse(sections)
      .map((section) => [section.id, section]),
  ),
  assemblies,
};

/** Invented prices for a new company to start from. */
export const starterPriceList: readonly PriceItem[] = z.array(priceItemSchema).parse(priceList);

/** How a new company prices and quotes until it says otherwise. */
export const starterCompanySettings: CompanySettings = companySettingsSchema.parse(companySettings);
