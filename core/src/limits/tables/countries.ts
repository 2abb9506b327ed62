/** A country by the time zones of its places (IANA), and the sets that lead there, the first one first. */
export interface CountryRow {
  name: string;
  zones: RegExp;
  sets: readonly string[];
}

/** The first row that fits holds. Which rules bind a supply is a matter of its authority: this is what is proposed. */
export const countries: readonly CountryRow[] = [
  { name: 'Germany', zones: /^Europe\/(Berlin|Busingen)$/, sets: ['de-trinkwv', 'eu-2020-2184'] },
  { name: 'England', zones: /^Europe\/London$/, sets: ['england-2016'] },
  // In Europe and under other law.
  {
    name: 'a country outside the Union',
    zones:
      /^Europe\/(Belgrade|Chisinau|Gibraltar|Guernsey|Isle_of_Man|Istanbul|Jersey|Kiev|Kyiv|Kirov|Minsk|Monaco|Moscow|Podgorica|San_Marino|Sarajevo|Samara|Saratov|Simferopol|Skopje|Tirane|Tiraspol|Ulyanovsk|Uzhgorod|Vaduz|Vatican|Volgograd|Zaporozhye|Zurich|Astrakhan|Kaliningrad)$/,
    sets: ['who-gdwq'],
  },
  {
    name: 'the European Union',
    zones: /^(Europe\/|Atlantic\/(Azores|Madeira|Canary)$|Africa\/Ceuta$|Asia\/(Nicosia|Famagusta)$)/,
    sets: ['eu-2020-2184'],
  },
  {
    name: 'the United States',
    zones:
      /^(America\/(Adak|Anchorage|Boise|Chicago|Denver|Detroit|Juneau|Los_Angeles|Menominee|Metlakatla|New_York|Nome|Phoenix|Puerto_Rico|Sitka|Yakutat)|America\/(Indiana|Kentucky|North_Dakota)\/.+|Pacific\/(Guam|Honolulu|Pago_Pago|Saipan)|US\/.+)$/,
    sets: ['us-40-cfr'],
  },
  {
    name: 'Canada',
    zones:
      /^(America\/(Atikokan|Blanc-Sablon|Cambridge_Bay|Creston|Dawson|Dawson_Creek|Edmonton|Fort_Nelson|Glace_Bay|Goose_Bay|Halifax|Inuvik|Iqaluit|Moncton|Montreal|Nipigon|Pangnirtung|Rainy_River|Rankin_Inlet|Regina|Resolute|St_Johns|Swift_Current|Thunder_Bay|Toronto|Vancouver|Whitehorse|Winnipeg|Yellowknife)|Canada\/.+)$/,
    sets: ['ca-gcdwq'],
  },
  { name: 'India', zones: /^Asia\/(Kolkata|Calcutta)$/, sets: ['in-is-10500'] },
  { name: 'New Zealand', zones: /^(Pacific\/(Auckland|Chatham)|NZ(-CHAT)?)$/, sets: ['nz-dwsnz'] },
  { name: 'Australia', zones: /^(Australia\/.+|Antarctica\/Macquarie)$/, sets: ['au-adwg'] },
];

/** What is proposed anywhere else. */
export const anywhere: CountryRow = { name: 'a country of which no set is here', zones: /./, sets: ['who-gdwq'] };
