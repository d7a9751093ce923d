// A photo as it is sent: what is looked at before the server is asked, and the file itself as the body, whatever the
// description calls it.
const LARGEST = 12 * 1024 * 1024;
const TYPES = ['image/jpeg', 'image/png', 'image/webp'];

/** @returns what is wrong with it, or nothing */
export function photoFault(file: File): string {
  if (!TYPES.includes(file.type)) return 'This is no photo: JPEG, PNG or WebP.';
  return file.size > LARGEST ? 'At most 12 MB: take a smaller picture.' : '';
}

/** Of a request that sends the file. */
export const photoBody = (file: File) => ({
  headers: { 'content-type': file.type },
  body: file as unknown as string,
  bodySerializer: (body: string) => body,
});
