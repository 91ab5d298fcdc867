import { z } from 'zod';
import { day, isMadeKey, words } from '../values/spot.ts';
import { part } from './part.ts';

/** Whose question it is: of this unit alone, or of every unit of its model. */
export const scopes = ['unit', 'model'] as const;

/** Something nobody here can answer yet. */
export const questionSchema = z.strictObject({
  text: words,
  scope: z.enum(scopes),
  /** The field it is about: `specs.furnace`. */
  about: z
    .string()
    .regex(/^(specs|features)\.\w{1,60}$/)
    .optional(),
  /** Who is asked, and by when it is wanted. */
  asked: words.optional(),
  due: day.optional(),
  answer: words.optional(),
});
export type Question = z.infer<typeof questionSchema>;

/** What nobody here can answer yet, and the answers. */
export const questions = part({
  schema: questionSchema,
  isKey: isMadeKey,
  label: () => 'A question',
  text: ({ text, answer }) => (answer ? `${text} Answer: ${answer}` : text),
  example: [
    '0a11ce00-0000-4000-8000-000000000001',
    { text: 'How loud is the roof fan?', scope: 'model' },
  ],
});
