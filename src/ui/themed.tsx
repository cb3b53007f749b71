'use client';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import rightToLeft from '@mui/stylis-plugin-rtl';
import type { ReactNode } from 'react';
import { LANGUAGE } from '@/words/language';
import { theme } from './theme';

/** Styles turned over where the language runs from right to left. */
const CACHE = LANGUAGE.direction === 'rtl' ? { key: 'rtl', stylisPlugins: [rightToLeft] } : undefined;

/** The theme with its light and dark schemes, in the direction of the language, for all below. */
export const Themed = ({ children }: { children: ReactNode }) => (
  <AppRouterCacheProvider options={CACHE}>
    <ThemeProvider theme={theme} defaultMode="system">
      <CssBaseline />
      {children}
    </ThemeProvider>
  </AppRouterCacheProvider>
);
