import { Plain } from '../api/client.ts';

/** What the server takes in one go; a longer text is no file of ours, and is not parsed on the page's own thread. */
const mostBytes = 2_000_000;

/**
 * What is in a JSON file that somebody chose.
 * @param what which kind of file was asked for, with its article: `a unit file`
 * @throws Plain where it is too large, or is not JSON
 */
export const jsonIn = async (file: File, what: string): Promise<unknown> => {
  if (file.size > mostBytes)
    throw new Plain(`“${file.name}” is larger than ${what} can be (2 MB). Choose another file.`);
  try {
    return JSON.parse(await file.text()) as unknown;
  } catch {
    throw new Plain(
      `“${file.name}” isn’t ${what}: it can’t be read as JSON. Choose a file that was saved as one.`,
    );
  }
};
