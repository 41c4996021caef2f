import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useMutation } from '@tanstack/react-query';
import { api, data } from '../api/client';
import { OneTimeLink } from '../people/OneTimeLink';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';

/** The days on which licences and waivers end, for a program for calendars: an address of one's own. */
export function CalendarAddress({ group }: { group: number }) {
  const make = useMutation({
    mutationFn: () => data(api.POST('/api/groups/{group}/calendar', { params: { path: { group } } })),
  });
  return (
    <Popover>
      <PopoverButton className="text-accent hover:border-edge rounded border border-transparent px-2.5 py-1 leading-tight">
        Calendar
      </PopoverButton>
      <PopoverPanel
        anchor="bottom end"
        className="border-edge bg-sheet z-30 flex w-96 max-w-[calc(100vw-2rem)] flex-col gap-2 rounded border p-3 shadow-lg"
      >
        <p>
          The days on which licences and waivers end, for your calendar program. Whoever has the address sees
          names and days, so keep it to yourself.
        </p>
        <Button className="self-start" disabled={make.isPending} onClick={() => make.mutate()}>
          Make an address; the one before ends
        </Button>
        {make.error && <Notice message={make.error.message} />}
        {make.data && (
          <OneTimeLink path={make.data.path} words="Subscribe to this address. It is not shown again." />
        )}
      </PopoverPanel>
    </Popover>
  );
}
