import type { Cure, Finding } from '../api/client';

const same = (a: Cure, b: Cure) => JSON.stringify(a.changes) === JSON.stringify(b.changes);

/**
 * The cures with the digits that press them. Cures that end in the same entry are offered once; listening only is
 * offered once, under the first finding that it cures.
 */
export function numbered(findings: Finding[]): Map<Finding, { cure: Cure; key: number }[]> {
  const seen: Cure[] = [];
  return new Map(
    findings.map((finding) => [
      finding,
      finding.cures.flatMap((cure) => {
        if (seen.some((other) => same(other, cure))) return [];
        seen.push(cure);
        return [{ cure, key: seen.length }];
      }),
    ]),
  );
}
