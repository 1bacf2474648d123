'use client';

import '@mantine/core/styles/ModalBase.css';
import '@mantine/core/styles/Modal.css';
import { Modal } from '@mantine/core';
import type { ReactNode } from 'react';
import dialog from './keys-dialog.module.css';

interface Props {
  readonly opened: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** Reads a figure from anywhere, over the page. */
export const ReadingDialog = ({ opened, onClose, children }: Props) => (
  <Modal
    opened={opened}
    onClose={onClose}
    title="Read a figure"
    shadow="none"
    size="xl"
    classNames={{ title: dialog.title, content: dialog.content, header: dialog.content }}
    closeButtonProps={{ 'aria-label': 'Close' }}
  >
    {children}
  </Modal>
);
