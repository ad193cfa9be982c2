/** So long the server may take to answer, in milliseconds. */
const PATIENCE = 20_000;

/** What the server answered; with status 0 it is out of reach. */
export interface ServerAnswer {
  readonly status: number;
  /** What it said, as it came: undefined where that is no JSON. */
  readonly said: unknown;
}

/** Asks something of the application's own server. */
export async function askServer(
  method: 'PUT' | 'POST' | 'DELETE',
  path: string,
  body: object,
): Promise<ServerAnswer> {
  try {
    const response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(PATIENCE),
      body: JSON.stringify(body),
    });
    const said: unknown = await response.json().catch(() => undefined);
    return { status: response.status, said };
  } catch {
    return { status: 0, said: undefined };
  }
}
