/** Where the app is reached from outside: links in letters begin with it. */
export type Links = {
  readonly invitation: (token: string) => string;
  readonly forgotten: (token: string) => string;
  readonly confirm: (token: string) => string;
  readonly signIn: () => string;
};

/** The token stands behind the #, which browsers do not send: no log on the way has it. */
export const linksAt = (address: () => string): Links => ({
  invitation: (token) => `${address()}/invitation#${token}`,
  forgotten: (token) => `${address()}/new-password#${token}`,
  confirm: (token) => `${address()}/confirm#${token}`,
  signIn: () => `${address()}/jobs`,
});
