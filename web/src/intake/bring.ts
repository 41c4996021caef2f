import { Problem, refusal, sent, token, type Schemas } from '../api/client';

export type BroughtIn = Schemas['BroughtIn'];

/** Sends a file as it is, and tells how much of it has gone. */
export function bring(
  group: number,
  file: Blob,
  name: string,
  encoding: string,
  onProgress: (share: number) => void,
): Promise<BroughtIn> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    const address = `/api/groups/${group}/intakes`;
    request.open('POST', `${address}?name=${encodeURIComponent(name)}&encoding=${encoding}`);
    request.setRequestHeader('Content-Type', 'application/octet-stream');
    request.setRequestHeader('X-XSRF-TOKEN', token());
    request.upload.onprogress = (event) => onProgress(event.total > 0 ? event.loaded / event.total : 0);
    request.onerror = () =>
      reject(new Problem(0, 'The server does not answer. Nothing was taken in; try again.'));
    request.onload = () => {
      let body: unknown;
      try {
        body = JSON.parse(request.responseText);
      } catch {
        body = undefined;
      }
      if (request.status < 300) {
        sent('POST', address);
        resolve(body as BroughtIn);
      } else reject(refusal(request.status, body));
    };
    request.send(file);
  });
}
