'use client';

import '@mantine/core/styles/Switch.css';
import { Switch } from '@mantine/core';
import { usePreferences } from '../figures/preferences';
import { OverPage } from '../parts/over-page';
import { WhoField } from './who-field';
import { GLOSSARY } from './glossary';
import { KEY_LIST } from './keys';
import styles from './keys-dialog.module.css';

/** The list of keys, with the switch that turns the single-letter ones off and the choice of decimal sign. */
export function KeysDialog({ opened, onClose }: { readonly opened: boolean; readonly onClose: () => void }) {
  const { keys, decimalSign, change } = usePreferences();
  return (
    <OverPage title="Keys, words, settings" size="lg" opened={opened} onClose={onClose}>
      <div className={styles.settings}>
        <Switch
          checked={keys}
          onChange={(event) => change({ keys: event.currentTarget.checked })}
          label="Single keys work outside the bench"
        />
        <Switch
          mt="sm"
          checked={decimalSign === ','}
          onChange={(event) => change({ decimalSign: event.currentTarget.checked ? ',' : '.' })}
          label="Write decimals with a comma"
        />
        <WhoField />
      </div>
      {KEY_LIST.map((group) => (
        <section key={group.where} className={styles.group}>
          <h3>{group.where}</h3>
          <dl className={`label-value ${styles.list}`}>
            {group.keys.map(([key, does]) => (
              <div key={key} className={styles.row}>
                <dt className={styles.key}>{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
      <section className={styles.group}>
        <h3>Words</h3>
        <dl className={`label-value ${styles.list}`}>
          {GLOSSARY.map(([word, means]) => (
            <div key={word} className={styles.row}>
              <dt>{word}</dt>
              <dd>{means}</dd>
            </div>
          ))}
        </dl>
      </section>
    </OverPage>
  );
}
