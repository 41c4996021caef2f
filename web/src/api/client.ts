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
export type Verdict = Schemas['Verdict'];
export type Role = Schemas['Role'];

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

/** Named by a request whose change the Desk of a list takes in by itself; it does not go over the line. */
export const KEEPS = 'x-keeps';

type Heard = (method: string, path: string, keeps?: number) => void;
let heard: Heard = () => undefined;

/** Who is told of every request that was sent and that the server took. */
export const onSent = (listener: Heard) => {
  heard = listener;
};

const keepers = new Map<string, number>();

api.use({
  onRequest({ request, id }) {
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', token());
    }
    const keeps = request.headers.get(KEEPS);
    if (keeps !== null) {
      request.headers.delete(KEEPS);
      keepers.set(id, Number(keeps));
    }
    return request;
  },
  onResponse({ request, response, id }) {
    const keeps = keepers.get(id);
    keepers.delete(id);
    if (response.ok) heard(request.method, new URL(request.url).pathname, keeps);
    return undefined;
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
