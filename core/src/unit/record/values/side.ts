import { z } from 'zod';

export const sideSchema = z.enum(['door', 'off-door', 'centre', 'front', 'rear']);
