/** Keys as they are printed, in the order they are pressed. */
export function Keys({ keys }: { keys: string[] }) {
  if (keys.length === 0) return null;
  return (
    <span className="flex flex-wrap items-center gap-1 py-0.5 print:mx-1 print:inline-flex print:gap-0.5 print:py-0">
      {keys.map((key, index) =>
        / until |^turn |while switching on$/.test(key) ? (
          <span key={index} className="text-soft">
            {key}
          </span>
        ) : (
          <kbd
            key={index}
            className="border-edge bg-paper rounded border px-1.5 font-mono text-[12px] leading-5 print:border-black print:px-1 print:text-[9px] print:leading-4"
          >
            {key}
          </kbd>
        ),
      )}
    </span>
  );
}
