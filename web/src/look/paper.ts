import { locale } from '../words/speech';

/** Lays pages out for the sheets that lie in printers where that language is spoken; A4 is the theme's own. */
export function layOutForPaper(): void {
  if (locale() !== 'en-US') return;
  const sheets = document.createElement('style');
  sheets.textContent = '@page { size: letter; } @page month { size: letter landscape; }';
  document.head.append(sheets);
}
