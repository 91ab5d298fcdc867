import { z } from 'zod';

/** The sides of a unit: as one chooses them, and as a place is told. */
export const sides = [
  { key: 'door', label: 'door side', where: 'door side' },
  { key: 'off-door', label: 'off-door side', where: 'off-door side' },
  { key: 'center', label: 'middle', where: 'in the middle' },
  { key: 'front', label: 'front', where: 'in front' },
  { key: 'rear', label: 'rear', where: 'at the rear' },
] as const;

export const sideSchema = z.enum(sides.map(({ key }) => key));
