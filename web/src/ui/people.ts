/** Names, and how many more there are than fit. */
export function some(names: string[], most = 3): string {
  if (names.length <= most + 1) return names.join(', ');
  return `${names.slice(0, most).join(', ')} and ${names.length - most} more`;
}
