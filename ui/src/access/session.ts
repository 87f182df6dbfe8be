/** The token that goes with every change of a screen that has signed in. */
let token = "";

export function setToken(t: string) {
  token = t;
}

export function changeHeaders(method: string): Record<string, string> {
  return token !== "" && method !== "GET" ? { "X-Yembra-Screen": token } : {};
}

/** What is said to the page when the server no longer knows this screen. */
export const signedOut = "yembra:signed-out";
