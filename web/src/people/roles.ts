import type { Role } from '../api/client';

/** What people are in a group, and what each may. */
export const ROLES: Record<Role, string> = {
  coordinator: 'Everything: lists, roster, plan, radios, releases and recalls, people.',
  reviewer: 'Sees everything, changes lists, waives, and signs what somebody else changed last.',
  technician: 'Sees everything; radios, bench, measurements, handing out.',
  member: 'Sees the card of the lists that they carry: what their own licence lets them key.',
};

export const ROLE_NAMES = Object.keys(ROLES) as Role[];
