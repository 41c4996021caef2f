import type { Schemas } from '../api/client';

type Line = Schemas['SumLine'];

const RULE: Record<string, string> = {
  total: 'border-t border-edge',
  rest: 'border-t border-edge font-semibold',
};

const HERTZ: Record<string, number> = { Hz: 1, kHz: 1_000, MHz: 1_000_000 };

/** In a sum of frequencies every line is in megahertz with six decimals, so that the columns stand under each other. */
function aligned(line: Line): Line {
  const [amount, unit] = line.unit ? [line.amount, line.unit] : (line.amount.split(' ') as [string, string]);
  const factor = HERTZ[unit];
  const [, times, plain] = /^(\d+ × )?(.*)$/.exec(amount)!;
  const value = Number(plain);
  if (factor === undefined || Number.isNaN(value)) return line;
  const digits = (Math.round(value * factor) / 1_000_000).toFixed(6);
  return { ...line, amount: `${times ?? ''}${digits.slice(0, -3)} ${digits.slice(-3)}`, unit: 'MHz' };
}

/** A sum set in columns, as one would do it on paper. */
export function SumView({ lines }: { lines: Line[] }) {
  const frequencies = lines[0]?.unit === 'MHz';
  return (
    <table className="text-second w-full border-collapse">
      <tbody>
        {(frequencies ? lines.map(aligned) : lines).map((line, index) => (
          <tr key={index} className={RULE[line.role] ?? ''}>
            <td className="w-4 pr-1 text-right align-top font-mono">
              {line.role === 'total' ? '' : line.sign}
            </td>
            <td className="py-px text-right align-top font-mono whitespace-nowrap">{line.amount}</td>
            <td className="text-soft px-1.5 align-top whitespace-nowrap">{line.unit}</td>
            <td className="text-soft w-full pl-1 leading-tight">{line.label}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
