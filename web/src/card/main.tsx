import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import '../index.css';
import { startTheme } from '../ui/theme';
import { CardByAddress } from './CardByAddress';
import { keepOffline } from './offline';

startTheme();
keepOffline();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <CardByAddress />
  </StrictMode>,
);
