/**
 * Keeps a text in the browser's storage, or takes it out with null. False where the storage is full or shut: what
 * is on the screen stays, and whoever typed it is told.
 */
export function keepText(key: string, text: string | null): boolean {
  try {
    if (text === null) localStorage.removeItem(key);
    else localStorage.setItem(key, text);
    return true;
  } catch {
    return false;
  }
}
