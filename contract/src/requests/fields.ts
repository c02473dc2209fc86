import { mixed, string } from 'yup';

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

export const clientId = string().matches(uuid, 'The id is not a UUID.').required('The id is missing.');

export const shortText = (name: string, longest: number) =>
  string()
    .strict()
    .max(longest, `The ${name} is at most ${longest} characters long.`)
    .test(
      'storable',
      `The ${name} holds a character that cannot be stored.`,
      (text) => !text?.includes('\0'),
    );

export const needed = (name: string, longest: number) =>
  shortText(name, longest).required(`The ${name} is missing.`);

/** A name: spaces at its ends do not count. */
export const named = (name: string, longest: number) =>
  string()
    .trim()
    .max(longest, `The ${name} is at most ${longest} characters long.`)
    .test('storable', `The ${name} holds a character that cannot be stored.`, (text) => !text?.includes('\0'))
    .required(`The ${name} is missing.`);

export const isId = (text: string): boolean => uuid.test(text);

/** Texts under keys that the reader of them knows: at most so many, each so long. */
export const textsByKey = (most: number, longest: number) =>
  mixed<Readonly<Record<string, string>>>((value): value is Record<string, string> => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const texts = Object.values(value);
    return texts.length <= most && texts.every((text) => typeof text === 'string' && text.length <= longest);
  });
