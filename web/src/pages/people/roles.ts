// What somebody is in a workroom, in words.
import type { Role } from '../../api/client';

export const ROLES: Record<Role, { name: string; you: string; says: string }> = {
  owner: { name: 'Owner', you: 'own this workroom', says: 'Can do it all, and let people in.' },
  sews: { name: 'Sews with you', you: 'sew here', says: 'Plans, tests and sews.' },
  looks_on: { name: 'Looks on', you: 'look on', says: 'Sees everything, changes nothing.' },
};
