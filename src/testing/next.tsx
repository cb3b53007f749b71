import { lazy, Suspense, type ComponentType, type ReactNode } from 'react';

/** What stands for the framework where there is none: `jest.mock('next/link', () => jest.requireActual(…).LINK)`. */
export const LINK = {
  __esModule: true,
  default: ({ children, href }: { children: ReactNode; href: string }) => <a href={href}>{children}</a>,
};
export const DYNAMIC = {
  __esModule: true,
  default: (load: () => Promise<ComponentType>) => {
    const Part = lazy(() => load().then((part) => ({ default: part })));
    return (props: object) => (
      <Suspense>
        <Part {...props} />
      </Suspense>
    );
  },
};
const never = () => undefined;
export const NAVIGATION = {
  useRouter: () => ({ push: never, replace: never }),
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
  useServerInsertedHTML: never,
};
