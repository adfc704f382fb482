/**
 * The files of a drop or paste that are to be attached. Pictures go into the message itself, where it can show them.
 *
 * @param plain whether it is a message of words alone
 */
export function filesOf(brought: DataTransfer | null, plain: boolean): DataTransferItem[] {
  return [...(brought?.items ?? [])].filter(
    (one) => one.kind === 'file' && (plain || !one.type.startsWith('image/')),
  );
}

/** Takes the files out of a drop or paste, which then means nothing else; none where it brings none. */
export function takeFiles(event: Event, brought: DataTransfer | null, plain: boolean): File[] {
  const files = filesOf(brought, plain)
    .map((one) => one.getAsFile())
    .filter((one) => one !== null);
  if (files.length) {
    event.preventDefault();
    event.stopPropagation();
  }
  return files;
}
