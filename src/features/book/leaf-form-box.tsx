'use client';

import { fetchedPart } from '@/interface/parts/fetched-part';
import styles from './leaf-form.module.css';

/** The form of an entry, which reads print as it is typed: the leaves of a book come alive without it. */
export const LeafForm = fetchedPart(() => import('./leaf-form').then((module) => module.LeafForm), {
  space: <div className={styles.space} />,
  isTypedInto: true,
});
