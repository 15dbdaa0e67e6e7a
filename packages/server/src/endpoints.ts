import type { DataSource } from "typeorm";
import { accountEndpoints } from "./accounts/account";
import { linkEndpoints } from "./accounts/byLink";
import { peopleEndpoints } from "./accounts/people";
import { setUpEndpoints } from "./accounts/setUp";
import { assemblyEndpoints } from "./assemblies/routes";
import { companyEndpoints } from "./companies/routes";
import { safetyEndpoints } from "./companies/safety";
import { wholeCompanyEndpoints } from "./companies/wholeCompany";
import type { Config } from "./config";
import { eventEndpoints } from "./events/routes";
import type { Endpoint } from "./http/endpoint";
import { jobFileEndpoints } from "./jobFiles/routes";
import { jobBinEndpoints } from "./jobs/bin";
import { jobCopyEndpoints } from "./jobs/copies";
import { jobListEndpoints } from "./jobs/list";
import { jobPriceEndpoints } from "./jobs/price";
import { jobEndpoints } from "./jobs/routes";
import { partEndpoints } from "./parts/routes";
import { photoEndpoints } from "./photos/routes";
import type { HeavyAnswers } from "./pool/heavyAnswers";
import { priceBatchEndpoints } from "./priceList/batches";
import { priceListEndpoints } from "./priceList/routes";
import { quoteInputEndpoints } from "./quotes/inputs";
import { quoteEndpoints } from "./quotes/routes";
import { roofReportEndpoints } from "./roofReports/routes";
import { secondFactorEndpoints } from "./secondFactor/routes";
import type { Services } from "./services";
import { sessionEndpoints } from "./sessions/routes";
import { supplierEndpoints } from "./suppliers/routes";
import { worksheetEndpoints } from "./worksheet/routes";

/** Everything that is answered, by the thread that listens and by the threads of the pool alike. */
export function allEndpoints(
  dataSource: DataSource,
  config: Config,
  services: Services,
  heavy?: HeavyAnswers,
): Endpoint[] {
  const endpoints: Endpoint[] = [
    ...wholeCompanyEndpoints(dataSource, () => {
      if (!heavy) throw new Error("allEndpoints: this thread has no others to ask");
      return { answers: heavy, endpoints };
    }),
    ...sessionEndpoints(dataSource, config, services),
    ...setUpEndpoints(dataSource, config, services),
    ...linkEndpoints(dataSource, config, services),
    ...accountEndpoints(dataSource, services),
    ...secondFactorEndpoints(dataSource, services),
    ...peopleEndpoints(dataSource, services),
    ...companyEndpoints(dataSource),
    ...safetyEndpoints(dataSource, config),
    ...eventEndpoints(dataSource),
    ...jobListEndpoints(dataSource, config),
    ...jobEndpoints(dataSource, config),
    ...jobBinEndpoints(dataSource),
    ...jobPriceEndpoints(dataSource, config),
    ...jobCopyEndpoints(dataSource, config),
    ...partEndpoints(dataSource),
    ...photoEndpoints(dataSource, config, services),
    ...quoteEndpoints(dataSource, services),
    ...quoteInputEndpoints(dataSource),
    ...priceListEndpoints(dataSource, config),
    ...priceBatchEndpoints(dataSource, config),
    ...jobFileEndpoints(dataSource, config, services),
    ...assemblyEndpoints(dataSource),
    ...roofReportEndpoints(dataSource, config),
    ...worksheetEndpoints(dataSource),
    ...supplierEndpoints(config),
  ];
  return endpoints;
}
