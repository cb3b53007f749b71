'use client';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { theme } from './theme';

/** The theme with its light and dark schemes, for all below. */
export const Themed = ({ children }: { children: ReactNode }) => (
  <ThemeProvider theme={theme} defaultMode="system">
    <CssBaseline />
    {children}
  </ThemeProvider>
);
