import type { ButtonHTMLAttributes } from 'react';
import styles from './button.module.css';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** `main`: what the sheet is for; `plain`: anything else; `stop`: takes something back. */
  readonly rank?: 'main' | 'plain' | 'stop';
}

/** A flat key with a ruled edge. */
export const Button = ({ rank = 'plain', type = 'button', className, ...rest }: Props) => (
  <button type={type} className={`${styles.key} ${className ?? ''}`} data-rank={rank} {...rest} />
);
