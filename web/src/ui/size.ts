/** How large a file is, as people say it: "340 KB", "1.4 MB". */
export function size(bytes: number): string {
  const kilobytes = Math.max(1, Math.round(bytes / 1000));
  return kilobytes < 1000 ? `${kilobytes} KB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
}
