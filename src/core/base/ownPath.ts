/** Whether an address leads to a place of this application and nowhere else: browsers take a backslash for a slash, and leave tabs and line ends out. */
export const isOwnPath = (address: string): boolean =>
  /^\/(?![/\\])[^\\\u0000-\u0020\u007f]*$/.test(address);
