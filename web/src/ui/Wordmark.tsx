/** The name with its mark: a river gauge and a lamp. */
export function Wordmark() {
  return (
    <span className="inline-flex items-center gap-2 font-semibold tracking-tight">
      <svg viewBox="0 0 16 16" width="20" height="20" aria-hidden="true" className="text-accent">
        <path d="M3.5 2v12M3.5 4h3M3.5 8h6M3.5 12h3" stroke="currentColor" strokeWidth="1.6" fill="none" />
        <circle cx="12" cy="8" r="2.2" className="fill-query" />
      </svg>
      <span className="max-sm:sr-only">Wache</span>
    </span>
  );
}
