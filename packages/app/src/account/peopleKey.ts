export const PEOPLE = "/people";
