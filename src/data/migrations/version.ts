/** The version of the records that this program writes: one more than there are migrations. */
export const CURRENT_VERSION = 5;

export function newerMessage(version: number, newest = CURRENT_VERSION): string {
  return `This was written by a newer Regulon (data version ${version}; this one knows up to ${newest}). Nothing was changed. Update Regulon and try again.`;
}
