/** Hands a file to the keeper. */
export function download(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

export const saveText = (name: string, type: string, text: string) =>
  download(new Blob([text], { type }), name);
