/** A rule's title before what it says of an entry; the title is the beginning where that begins with it, and not said twice. */
export function once(title: string, message: string): { title: string; rest: string } {
  const begins =
    message.slice(0, title.length).toLowerCase() === title.toLowerCase() &&
    !/\p{L}|\d/u.test(message.charAt(title.length));
  return begins
    ? { title: message.slice(0, title.length), rest: message.slice(title.length) }
    : { title: `${title}.`, rest: ` ${message}` };
}
