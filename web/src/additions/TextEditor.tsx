import { useEffect, useRef } from 'react';

interface Props {
  value: string;
  /** The line that a message is about; 0 for none. */
  line: number;
  onChange: (text: string) => void;
}

const LINE_HEIGHT = 20;

/**
 * A text with numbered lines; the one that a message is about is marked. An editor component of a library would put its
 * styles into the page, which the content security policy forbids, for colours that say nothing here: what is wrong is
 * said by the server at each keystroke.
 */
export function TextEditor({ value, line, onChange }: Props) {
  const numbers = useRef<HTMLDivElement>(null);
  const area = useRef<HTMLTextAreaElement>(null);
  const count = value.split('\n').length;
  useEffect(() => {
    const element = area.current;
    if (!element || line === 0) return;
    const top = (line - 1) * LINE_HEIGHT;
    if (top < element.scrollTop || top > element.scrollTop + element.clientHeight - LINE_HEIGHT)
      element.scrollTop = Math.max(0, top - element.clientHeight / 2);
  }, [line]);
  return (
    <div className="border-edge bg-sheet relative flex h-[26rem] overflow-hidden rounded border">
      <div
        ref={numbers}
        aria-hidden="true"
        className="bg-sunk text-soft w-11 shrink-0 overflow-hidden py-2 pr-2 text-right font-mono text-[13px] select-none"
        style={{ lineHeight: `${LINE_HEIGHT}px` }}
      >
        {Array.from({ length: count }, (_, index) => (
          <div key={index} className={index + 1 === line ? 'bg-hold text-paper font-semibold' : ''}>
            {index + 1}
          </div>
        ))}
      </div>
      <textarea
        ref={area}
        aria-label="Text of the addition"
        className="min-w-0 grow resize-none overflow-auto px-2 py-2 font-mono text-[13px] whitespace-pre"
        style={{ lineHeight: `${LINE_HEIGHT}px` }}
        spellCheck={false}
        autoComplete="off"
        value={value}
        onScroll={(event) => {
          if (numbers.current) numbers.current.scrollTop = event.currentTarget.scrollTop;
        }}
        onChange={(event) => onChange(event.target.value)}
      />
    </div>
  );
}
