/** Two texts to begin with. */
export const EDITION = `format: wache-rulebook/1
rulebook: us
edition:
  id: "2027-03-01"
  from: 2027-03-01
  title: Voice on a part of 30 m
  source: "97.305(c)"
changes:
  # "in" names a file and a section of the rulebook. Rows under "end" end the day before; rows under "add" begin.
  - in: amateur/grants
    end:
      - {band: 30 m, mhz: 10.100-10.150}
    add:
      - {band: 30 m, mhz: 10.100-10.140, class: general, allow: cw data, source: "97.305(c)"}
      - {band: 30 m, mhz: 10.140-10.150, class: general, allow: cw data phone-low-index, source: "97.305(c)"}
`;

export const SERVICE = `format: wache-rulebook/1
rulebook: us
service:
  id: harbour-net
  title: Harbour net
  part: special authority of the harbour
  kind: channels          # channels, bands or authorised
  licence: plain          # none, plain, class or lines
  tones_expected: true
  channel_source: the authority, paragraph 2
  emission_source: the authority, paragraph 3
  repeater_source: the authority, paragraph 4
  spans_mhz: [457.5-457.6]
  channels:
    - {name: "1", mhz: 457.525, allow: fm, width_khz: 12.5, watts: 2, measure: output, repeaters: false, source: "the authority, paragraph 2"}
    - {name: "2", mhz: 457.550, allow: fm, width_khz: 12.5, watts: 2, measure: output, repeaters: false, source: "the authority, paragraph 2"}
`;
