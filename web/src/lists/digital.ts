/** What a digital channel needs beside its frequency, in few words. */
export const digital = ({ colourCode, timeSlot, talkGroup, contact, accessCode }: Record<string, string>) =>
  [
    colourCode && `colour ${colourCode}`,
    timeSlot && `slot ${timeSlot}`,
    talkGroup && `group ${talkGroup}${contact ? ` ${contact}` : ''}`,
    accessCode && `code ${accessCode}`,
  ]
    .filter(Boolean)
    .join(', ');
