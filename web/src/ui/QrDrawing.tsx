import type { Schemas } from '../api/client';

/** A two-dimensional code, dark on light in both themes, with its quiet zone. */
export function QrDrawing({
  code,
  label,
  className,
}: {
  code: Schemas['QrCode'];
  label: string;
  className?: string;
}) {
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`-4 -4 ${code.size + 8} ${code.size + 8}`}
      className={className}
      shapeRendering="crispEdges"
    >
      <rect x="-4" y="-4" width={code.size + 8} height={code.size + 8} fill="white" />
      <path d={code.path} fill="black" />
    </svg>
  );
}
