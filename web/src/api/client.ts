import createClient, { type Client } from 'openapi-fetch';
import createQueries from 'openapi-react-query';
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

/** What became of a request: the server took it, or refused it because of what is there. */
export type Outcome = 'taken' | 'refused';

type Heard = (outcome: Outcome, method: string, path: string, keeps?: number) => void;
let heard: Heard = () => undefined;

/** Who is told of every request that was sent and that the server took, or refused because of what is there. */
export const onSent = (listener: Heard) => {
  heard = listener;
};

/** Tells of a request that went another way than through here and was taken. */
export const sent = (method: string, path: string) => heard('taken', method, path);

const GONE = 404;
const STALE = 409;
const REFUSED = 422;

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
  async onResponse({ request, response, id }) {
    const keeps = keepers.get(id);
    keepers.delete(id);
    const path = new URL(request.url).pathname;
    if (response.ok) {
      heard('taken', request.method, path, keeps);
      return undefined;
    }
    if ([GONE, STALE, REFUSED].includes(response.status)) heard('refused', request.method, path, keeps);
    throw refusal(response.status, await body(response));
  },
  onError({ error }) {
    if (error instanceof DOMException && error.name === 'AbortError') return undefined;
    return new Problem(0, 'The server does not answer. What you typed is still here; try again.');
  },
});

async function body(response: Response): Promise<unknown> {
  try {
    return await response.json();
  } catch {
    return undefined;
  }
}

/** The paths of the description, each of which may end in a Problem. */
type Told<Paths> = {
  [Path in keyof Paths]: {
    [Method in keyof Paths[Path]]: Paths[Path][Method] extends { responses: infer Answers }
      ? Omit<Paths[Path][Method], 'responses'> & {
          responses: Answers & { default: { content: { 'application/json': Problem } } };
        }
      : Paths[Path][Method];
  };
};

/** What pages ask the server, each question kept under its address and its parameters. */
export const Server = createQueries(api as unknown as Client<Told<paths>>);

/** The data of an answer; what the server refuses is thrown as a Problem. */
export const data = async <T>(answer: Promise<{ data?: T }>): Promise<T> => (await answer).data as T;

/** What the server said against it. */
export function refusal(status: number, body: unknown): Problem {
  const said = body as { detail?: string; title?: string } | undefined;
  if (status === 401 && !said?.detail) return new Problem(401, 'You are signed out. Sign in again.');
  return new Problem(status, said?.detail ?? said?.title ?? `The server refused this (${status}).`, body);
}
