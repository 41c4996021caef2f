/** What went wrong: what is, and what to press. */
export function Notice({ message, children }: { message: string; children?: React.ReactNode }) {
  return (
    <div
      role="alert"
      className="border-l-hold border-line bg-sheet flex items-start gap-3 rounded border border-l-[3px] px-3 py-2"
    >
      <p className="grow">{message}</p>
      {children}
    </div>
  );
}
