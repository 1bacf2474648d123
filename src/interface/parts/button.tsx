import type { ComponentProps } from 'react';
import styles from './button.module.css';

interface Props extends ComponentProps<'button'> {
  /** `main`: what the sheet is for; `plain`: anything else; `stop`: takes something back. */
  readonly rank?: 'main' | 'plain' | 'stop';
  /** What it does is under way. It keeps the focus, and another press of it does nothing. */
  readonly busy?: boolean;
}

/** A flat key with a ruled edge. */
export const Button = ({ rank = 'plain', type = 'button', busy = false, className, ...rest }: Props) => (
  <button
    type={type}
    className={`${styles.key} ${className ?? ''}`}
    data-rank={rank}
    aria-disabled={busy || undefined}
    {...rest}
  />
);
