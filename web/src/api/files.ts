import { Problem, refusal, token } from './client';

/** Sends a file as it is, and gives what is answered. */
export async function sent<T>(address: string, file: File): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(address, {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream', 'X-XSRF-TOKEN': token() },
      body: file,
    });
  } catch {
    throw new Problem(0, 'The file could not be sent. Try again.');
  }
  const body: unknown = await answer.json();
  if (!answer.ok) throw refusal(answer.status, body);
  return body as T;
}
