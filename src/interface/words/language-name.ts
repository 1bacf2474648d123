import type { PrintLanguage } from '@/model/book/source';

const NAMES: Readonly<Record<PrintLanguage, string>> = {
  en: 'English',
  de: 'German',
  fr: 'French',
  it: 'Italian',
  es: 'Spanish',
  sv: 'Swedish',
  nl: 'Dutch',
  cs: 'Czech',
  pt: 'Portuguese',
  da: 'Danish',
  nb: 'Norwegian',
  pl: 'Polish',
  ja: 'Japanese',
};

/** What a language of print is called. */
export const languageName = (tag: PrintLanguage): string => NAMES[tag];
