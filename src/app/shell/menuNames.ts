import { Download, Settings2 } from 'lucide-react';

export interface MenuProps {
  /** Whether it opens as soon as it is there */
  readonly open: boolean;
}

export const FILES = { id: 'files-menu', name: 'Files', icon: Download } as const;
export const SETTINGS = { id: 'settings-menu', name: 'Units and look', icon: Settings2 } as const;
