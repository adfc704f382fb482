import type { Schemas } from '../api/client';

/** What a template says, as a draft of it begins. */
export function draftOf(template: Schemas['Template']): Schemas['Draft'] {
  const { name, purpose, about, subject, previewText, body } = template;
  const { mode, design, houseStyle, header, footer, files, kind, wishes, plainText } = template;
  return {
    name,
    purpose,
    about,
    subject,
    previewText,
    body,
    mode,
    design,
    houseStyle: houseStyle ?? null,
    header,
    footer,
    files,
    kind,
    wishes,
    plainText,
  };
}
