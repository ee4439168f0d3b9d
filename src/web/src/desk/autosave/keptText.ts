import type { Attachment } from 'svelte/attachments';
import { draftsHere } from './tab';

/**
 * Keeps what is typed into a plain field until its form is done with it: for boxes that are no record of their own. A field that is
 * emptied, by hand or because what it said was taken over, forgets.
 * @param record Name under which it is kept.
 * @param over What was typed takes the place of what the field starts with; else an empty field alone is filled.
 */
export const keptText =
  (record: string, over = false): Attachment<HTMLInputElement | HTMLTextAreaElement> =>
  (field) => {
    let typed = false;
    const keep = async (): Promise<void> => {
      typed = true;
      const drafts = await draftsHere();
      if (field.value.trim() === '') drafts.drop(record);
      else drafts.put(record, { value: field.value, base: null, at: Date.now() });
    };
    const kept = (): void => void keep();
    field.addEventListener('input', kept);
    void draftsHere()
      .then((drafts) => drafts.find<string>(record))
      .then((draft) => {
        if (!draft || typed || (!over && field.value !== '') || !field.isConnected) return;
        field.value = draft.value ?? '';
        field.dispatchEvent(new Event('input', { bubbles: true }));
      });
    return () => field.removeEventListener('input', kept);
  };

/** What a plain field had is used: nothing of it is to come back. */
export const forgetText = async (record: string): Promise<void> => (await draftsHere()).drop(record);
