/**
 * What a record holds under a key of its own. Keys that people choose may be called like a member of every object
 * (`constructor`, `toString`): those are not the record's.
 */
export const ownValue = <T>(record: Readonly<Record<string, T>> | undefined, key: string): T | undefined =>
  record !== undefined && Object.hasOwn(record, key) ? record[key] : undefined;
