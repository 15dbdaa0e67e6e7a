/** The API as somebody who is signed in: each asks a path and resolves to the response. */
export async function signedIn(api, { email, password }) {
  const answer = await fetch(`${api}/session`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ email, password }),
  });
  if (answer.status !== 201) throw new Error(`signedIn: ${email} was answered ${answer.status}`);
  const { csrfToken } = await answer.json();
  const cookie = answer.headers
    .getSetCookie()
    .map((each) => each.split(";")[0])
    .join("; ");
  const ask = (method, path, body, headers = {}, signal = undefined) =>
    fetch(`${api}${path}`, {
      method,
      signal,
      headers: { cookie, "x-csrf-token": csrfToken, "content-type": "application/json", ...headers },
      body: body === undefined || typeof body === "string" || body instanceof Uint8Array ? body : JSON.stringify(body),
    });
  return {
    get: (path, headers) => ask("GET", path, undefined, headers),
    post: (path, body, headers) => ask("POST", path, body, headers),
    put: (path, body, headers) => ask("PUT", path, body, headers),
    ask,
    cookie,
    csrfToken,
  };
}
