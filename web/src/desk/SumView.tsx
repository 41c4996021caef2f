import type { Schemas } from '../api/client';

const RULE: Record<string, string> = {
  total: 'border-t border-edge',
  rest: 'border-t border-edge font-semibold',
};

/** A sum set in columns, as one would do it on paper. */
export function SumView({ lines }: { lines: Schemas['SumLine'][] }) {
  return (
    <table className="text-second w-full border-collapse">
      <tbody>
        {lines.map((line, index) => (
          <tr key={index} className={RULE[line.role] ?? ''}>
            <td className="w-4 pr-1 text-right font-mono">{line.role === 'total' ? '' : line.sign}</td>
            <td className="py-px text-right font-mono whitespace-nowrap">{line.amount}</td>
            <td className="text-soft px-1.5 whitespace-nowrap">{line.unit}</td>
            <td className="text-soft w-full pl-1 leading-tight">
              {line.role === 'inside' ? <>is {line.label}</> : line.label}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
