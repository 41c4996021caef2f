/** A small button that is on or off. */
export function Chip({ on, label, onPress }: { on: boolean; label: string; onPress: () => void }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onPress}
      className={`rounded-full border px-2.5 py-0.5 ${on ? 'border-accent bg-accent-wash text-accent' : 'border-line hover:border-edge'}`}
    >
      {label}
    </button>
  );
}
