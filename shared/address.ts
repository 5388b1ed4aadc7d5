/** The address people reach the application by: a host, and the path it has where the host is not its own. */

/** @param url as given, with or without a slash at its end. @returns it without one, and without what a page adds. */
export function addressOf(url: string): string {
  const { origin, pathname } = new URL(url)
  return origin + pathname.replace(/\/+$/, '')
}

/** @param address by `addressOf`. @returns empty, or like "/critica". */
export const pathOfAddress = (address: string): string => new URL(address).pathname.replace(/\/$/, '')
