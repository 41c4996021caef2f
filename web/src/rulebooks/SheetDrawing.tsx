import type { Schemas } from '../api/client';

type Mark = Schemas['Mark'];
type Ink = Mark['ink'];

const POINT = 25.4 / 72;

/** Words, lines and edges. */
const LINE: Record<Ink, string> = {
  text: 'var(--ink)',
  strong: 'var(--ink)',
  soft: 'var(--soft)',
  figures: 'var(--ink)',
  'figures-strong': 'var(--ink)',
  may: 'var(--accent)',
  others: 'var(--edge)',
  plan: 'var(--edge)',
  calling: 'var(--ink)',
  ours: 'var(--query)',
  rule: 'var(--edge)',
};

/** What is inside an edge. */
const FILL: Partial<Record<Ink, string>> = {
  may: 'var(--reach)',
  others: 'none',
  plan: 'var(--sunk)',
  ours: 'var(--sheet)',
};

function One({ mark }: { mark: Mark }) {
  const line = LINE[mark.ink];
  if (mark.kind === 'words') {
    return (
      <text
        x={mark.x}
        y={mark.y}
        fontSize={mark.size * POINT}
        fontWeight={mark.ink === 'strong' || mark.ink === 'figures-strong' ? 700 : 400}
        fontFamily={mark.ink.startsWith('figures') ? 'var(--font-mono)' : 'var(--font-sans)'}
        textAnchor={mark.anchor}
        fill={line}
        style={{ whiteSpace: 'pre' }}
      >
        {mark.text}
      </text>
    );
  }
  if (mark.kind === 'line') {
    return (
      <path
        d={`M${mark.x} ${mark.y}l${mark.width} ${mark.height}`}
        stroke={line}
        strokeWidth={mark.ink === 'rule' ? 0.15 : 0.2}
      />
    );
  }
  return (
    <rect
      x={mark.x}
      y={mark.y}
      width={mark.width}
      height={mark.height}
      fill={FILL[mark.ink] ?? line}
      stroke={line}
      strokeWidth={mark.ink === 'may' || mark.ink === 'ours' ? 0.35 : 0.2}
      strokeDasharray={mark.ink === 'others' ? '1 0.8' : undefined}
    />
  );
}

/** A drawing of the server, in the colours of the screen. */
export function SheetDrawing({ drawing, title }: { drawing: Schemas['Drawing']; title: string }) {
  return (
    <svg
      viewBox={`-4 -2 ${drawing.width + 8} ${drawing.height + 4}`}
      role="img"
      aria-label={title}
      className="bg-sheet border-line w-full rounded border"
    >
      {drawing.marks.map((mark, index) => (
        <One key={index} mark={mark} />
      ))}
    </svg>
  );
}
