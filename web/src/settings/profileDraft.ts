import type { Schemas } from '../api/client';

export type Body = Schemas['ProfileBody'];
export type Wish = Schemas['ProfileWish'];
export type ProfileFinding = Schemas['SetFinding'];

/** What a profile begins with: the settings that more than one radio was lost by. */
export const NEW: Body = {
  name: '',
  rogerTone: 'unwanted',
  breaksIn: true,
  missesNothing: true,
  maxTimeoutS: null,
  settings: [
    wish('time-out', '180', 'A radio wedged in a seat must fall silent by itself'),
    wish('roger-tone', 'off', 'It covers whoever answers at once'),
    wish('busy-lockout', 'off', 'Whoever is in need must be able to break in'),
    wish('voice-keying', 'off', 'It keys at every noise'),
  ],
};

export function wish(kind: Wish['kind'], value: string, why = ''): Wish {
  return { kind, which: '', value, why, model: null };
}

/**
 * The profile with what cures a finding: the wish that made it is changed. Where the profile was silent one is added for every model, for
 * the cure is in words that each understands; where a wish for all of a kind made it, one for what is meant alone.
 */
export function cured(body: Body, finding: ProfileFinding): Body {
  if (finding.cure === null) return body;
  const value = finding.cure;
  const at = body.settings.findIndex(
    (each) =>
      each.kind === finding.kind &&
      (each.which === '' || each.which === finding.which) &&
      (each.model === null || each.model === finding.model) &&
      finding.fromProfile,
  );
  const found = body.settings[at];
  if (found && (found.model === finding.model || found.which === finding.which)) {
    return {
      ...body,
      settings: body.settings.map((each, index) => (index === at ? { ...each, value } : each)),
    };
  }
  return {
    ...body,
    settings: [
      ...body.settings,
      {
        kind: finding.kind,
        which: finding.which,
        value,
        why: '',
        model: finding.fromProfile ? finding.model : null,
      },
    ],
  };
}

/** Findings that say the same of several models, told once. */
export function toldOnce(findings: ProfileFinding[]): { finding: ProfileFinding; models: string[] }[] {
  const all = new Map<string, { finding: ProfileFinding; models: string[] }>();
  for (const finding of findings) {
    const key = `${finding.rule} ${finding.fromProfile} ${finding.message}`;
    const known = all.get(key);
    if (known) known.models.push(finding.model);
    else all.set(key, { finding, models: [finding.model] });
  }
  return [...all.values()].sort((a, b) => Number(b.finding.hold) - Number(a.finding.hold));
}
