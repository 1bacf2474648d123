'use client';

import '@mantine/core/styles/ModalBase.css';
import '@mantine/core/styles/Modal.css';
import { Modal } from '@mantine/core';
import type { ReactNode } from 'react';
import styles from './over-page.module.css';

interface Props {
  readonly title: string;
  readonly size: 'lg' | 'xl';
  readonly opened: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** What opens over a page, and goes away by Escape or its key. */
export const OverPage = ({ title, size, opened, onClose, children }: Props) => (
  <Modal
    opened={opened}
    onClose={onClose}
    title={title}
    shadow="none"
    size={size}
    classNames={{ title: styles.title, content: styles.content, header: styles.content }}
    closeButtonProps={{ 'aria-label': 'Close' }}
  >
    {children}
  </Modal>
);
