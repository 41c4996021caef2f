import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Slip = Schemas['Slip'];
export type Desk = Schemas['Desk'];
export type Dossier = Schemas['Dossier'];
export type Finding = Schemas['FindingView'];
export type Cure = Schemas['Cure'];
export type Carrier = Schemas['Carrier'];
export type Change = Schemas['Change'];
export type Conflict = Schemas['Conflict'];
export type Verdict = 'hold' | 'query' | 'clear' | 'listen';

/** What went wrong, in words for people. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: unknown = undefined,
  ) {
    super(message);
  }
}

/** The token against forged requests. */
export const token = () => decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '');

export const api = createClient<paths>({ baseUrl: window.location.origin });

api.use({
  onRequest({ request }) {
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', token());
    }
    return request;
  },
});

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of an answer, or a Problem with what the server said. */
export async function data<T>(answer: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>;
  try {
    got = await answer;
  } catch (cause) {
    if (cause instanceof DOMException && cause.name === 'AbortError') throw cause;
    throw new Problem(0, 'The server does not answer. What you typed is still here; try again.');
  }
  if (!got.response.ok) throw refusal(got.response.status, got.error);
  return got.data as T;
}

/** What the server said against it. */
export function refusal(status: number, body: unknown): Problem {
  const said = body as { detail?: string; title?: string } | undefined;
  if (status === 401 && !said?.detail) return new Problem(401, 'You are signed out. Sign in again.');
  return new Problem(status, said?.detail ?? said?.title ?? `The server refused this (${status}).`, body);
}
