/** Splits hertz into megahertz with three decimals, and the three after them when they are not zero. */
export function split(hertz: number): { main: string; rest: string } {
  const fraction = String(1_000_000 + (hertz % 1_000_000)).slice(1);
  const rest = fraction.slice(3).replace(/0+$/, '');
  return { main: `${Math.floor(hertz / 1_000_000)}.${fraction.slice(0, 3)}`, rest };
}

/** Plain text for labels and titles. */
export const megahertz = (hertz: number) => {
  const { main, rest } = split(hertz);
  return main + rest;
};

/** A length in hertz or kilohertz. */
export const length = (hertz: number) =>
  hertz < 1000 ? `${hertz} Hz` : `${(hertz / 1000).toFixed(3).replace(/0{1,2}$/, '')} kHz`;

/** An offset with its sign. */
export function offset(hertz: number): string {
  const size = Math.abs(hertz);
  const text = size >= 1_000_000 ? `${size / 1_000_000} MHz` : `${size / 1000} kHz`;
  return (hertz < 0 ? '−' : '+') + text;
}

/** A frequency: three decimals always, the further ones lighter. */
export function Megahertz({ hertz }: { hertz: number }) {
  const { main, rest } = split(hertz);
  return (
    <span className="font-mono">
      {main}
      {rest && <span className="text-soft font-light">{rest}</span>}
    </span>
  );
}
