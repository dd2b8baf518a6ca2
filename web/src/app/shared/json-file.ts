/** The data of a file, or a sentence why there is none. */
export type JsonRead = { readonly data: unknown } | { readonly problem: string };

/**
 * Reads a file of ours as far as JSON goes; what stands in it is the server's matter.
 * @param what as it is called in a sentence: "a lesson file"
 */
export async function readJsonFile(file: File, what: string, mostBytes: number): Promise<JsonRead> {
  const megabytes = (bytes: number) => `${Math.ceil(bytes / 2 ** 20)} MB`;
  if (file.size > mostBytes)
    return { problem: `“${file.name}” is ${megabytes(file.size)} large; ${what} has ${megabytes(mostBytes)} at most.` };
  const text = decoded(await file.arrayBuffer());
  if (text === null) return { problem: `“${file.name}” is not text in UTF-8, as ${what} is.` };
  try {
    return { data: JSON.parse(text) as unknown };
  } catch {
    return { problem: `“${file.name}” is no JSON, as ${what} is.` };
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
