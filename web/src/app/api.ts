/** A refusal by the server, with the fields it concerns (RFC 9457). */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly errors: readonly { path: string; message: string }[],
  ) {
    super(title);
  }

  /** Why the field at a path, or one below it, was refused. */
  at(path: string): string | undefined {
    return this.errors.find((error) => error.path === path || error.path.startsWith(`${path}.`))?.message;
  }
}

/** The server could not be reached, so it is not known whether it has the entry. */
export class NoConnection extends Error {
  constructor() {
    super('No connection to the server. What you typed is still here: try again.');
  }
}

interface ProblemDocument {
  title?: string;
  errors?: { path: string; message: string }[];
}

export async function request<T>(path: string, options: RequestInit = {}): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, options);
  } catch {
    throw new NoConnection();
  }
  if (response.ok) return (await response.json()) as T;
  const problem = (await response.json().catch(() => ({}))) as ProblemDocument;
  throw new ApiProblem(response.status, problem.title ?? 'The server did not answer as expected.', problem.errors ?? []);
}

export const get = <T>(path: string): Promise<T> => request<T>(path);

export const post = <T>(path: string, body: unknown = {}): Promise<T> =>
  request<T>(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** What to say to a person about whatever went wrong. */
export function explain(error: unknown): string {
  if (error instanceof ApiProblem) return error.errors.map((one) => one.message).join(' ') || error.title;
  return error instanceof Error ? error.message : 'Something went wrong.';
}
