/** Opens a dialog. A browser of 2021 may not know dialogs: there it is a sheet that lies over the page. */
export function showDialog(dialog: HTMLDialogElement): void {
  if ('showModal' in dialog) return dialog.showModal();
  (dialog as Element).setAttribute('open', '');
  (dialog as Element).querySelector('button')?.focus();
}

/** Closes a dialog, and tells that it is closed as browsers do that know dialogs. */
export function closeDialog(dialog: HTMLDialogElement): void {
  if ('close' in dialog) return dialog.close();
  (dialog as Element).removeAttribute('open');
  (dialog as Element).dispatchEvent(new Event('close'));
}
