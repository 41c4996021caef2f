import type { Schemas } from '../api/client';
import { megahertz } from '../ui/Megahertz';
import { verdictWord } from '../ui/VerdictMark';

type Entry = Pick<Schemas['MatrixEntry'], 'name' | 'number' | 'txHz'>;
type Column = Pick<Schemas['MatrixColumn'], 'name' | 'holds'>;
type Reason = Pick<Schemas['Reason'], 'verdict' | 'routes' | 'findings'>;

/** Why somebody may key an entry or not, as lines for a letter: verdict, routes, findings with their sums and sources. */
export function reasonText(entry: Entry, column: Column, reason: Reason): string {
  const where = entry.txHz === null ? 'listens only' : `talks on ${megahertz(entry.txHz)} MHz`;
  const lines = [
    `${entry.name || `Number ${entry.number}`}, ${where}, for ${column.name}${column.holds ? ` (${column.holds})` : ''}: ${verdictWord(reason.verdict)}.`,
    ...reason.routes.map(
      (route) =>
        `- ${route.service}${route.legal ? `: ${route.authority}, ${route.source}` : ': does not do'}`,
    ),
    ...reason.findings.flatMap((finding) => [
      `${finding.message} (${finding.source})`,
      ...finding.sum.map((line) =>
        `    ${line.sign.trim()} ${line.amount} ${line.unit} ${line.label}`.replace(/ +$/, ''),
      ),
    ]),
  ];
  return lines.join('\n');
}
