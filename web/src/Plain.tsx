import { Outlet } from 'react-router';
import { TopBar } from './components/TopBar.tsx';

/** A page outside of a comparison. */
export const Plain = () => (
  <>
    <TopBar />
    <Outlet />
  </>
);
