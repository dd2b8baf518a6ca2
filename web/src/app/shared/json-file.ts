import { FILE_WORDS } from './file-words';

/** The data of a file, or a sentence why there is none. */
export type JsonRead = { readonly data: unknown } | { readonly problem: string };

/**
 * Reads a file of ours as far as JSON goes; what stands in it is the server's matter.
 */
export async function readJsonFile(file: File, kind: keyof ReturnType<typeof FILE_WORDS>['ours'], mostBytes: number): Promise<JsonRead> {
  const words = FILE_WORDS();
  const what = words.ours[kind];
  const megabytes = (bytes: number) => Math.ceil(bytes / 2 ** 20);
  if (file.size > mostBytes) return { problem: words.large(file.name, megabytes(file.size), what, megabytes(mostBytes)) };
  const text = decoded(await file.arrayBuffer());
  if (text === null) return { problem: words.notText(file.name, what) };
  try {
    return { data: JSON.parse(text) as unknown };
  } catch {
    return { problem: words.notJson(file.name, what) };
  }
}

/** Letters of another encoding would be lost in silence. */
function decoded(bytes: ArrayBuffer): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}
