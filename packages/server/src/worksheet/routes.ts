import { MOST_LAYOUTS, worksheetLayoutSchema } from "@wide-porch/core";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { companyEntity, companyOf, lockCompany } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem } from "../http/problemDetails";

const layoutsSchema = z.object({ layouts: z.array(worksheetLayoutSchema) }).meta({ id: "WorksheetLayouts" });

export const worksheetEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/worksheet-layouts",
    access: "sees-costs",
    summary: "Ways of reading a worksheet that are everybody's in the company",
    status: 200,
    answer: layoutsSchema,
    handle: async ({ user }) => {
      const { settings } = await companyOf(dataSource, user.companyId);
      return { layouts: settings.worksheetLayouts };
    },
  }),
  endpoint({
    method: "put",
    path: "/worksheet-layouts/:name",
    access: "sees-costs",
    summary: "Keep a layout for everybody, in the place of one of its name",
    status: 200,
    body: worksheetLayoutSchema.meta({ id: "WorksheetLayout" }),
    answer: layoutsSchema,
    handle: ({ user, param, body }) =>
      changeLayouts(dataSource, user.companyId, (before) => {
        const others = before.filter(({ name }) => name !== param("name") && name !== body.name);
        if (others.length < MOST_LAYOUTS) return [...others, body];
        const message = `A company keeps at most ${MOST_LAYOUTS} layouts. Take one out first.`;
        throw new HttpProblem(422, {
          detail: message,
          problems: [{ code: "too-many-layouts", path: "name", message }],
        });
      }),
  }),
  endpoint({
    method: "delete",
    path: "/worksheet-layouts/:name",
    access: "sees-costs",
    summary: "Take a layout out for everybody",
    status: 200,
    answer: layoutsSchema,
    handle: ({ user, param }) =>
      changeLayouts(dataSource, user.companyId, (before) => before.filter(({ name }) => name !== param("name"))),
  }),
];

type Layouts = z.infer<typeof layoutsSchema>["layouts"];

const changeLayouts = (dataSource: DataSource, companyId: string, change: (before: Layouts) => Layouts) =>
  inTransaction(dataSource, async (manager) => {
    const company = await lockCompany(manager, companyId);
    const worksheetLayouts = change(company.settings.worksheetLayouts);
    await manager
      .getRepository(companyEntity)
      .save({ ...company, settings: { ...company.settings, worksheetLayouts } });
    return { layouts: worksheetLayouts };
  });
