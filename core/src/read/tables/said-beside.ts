/** Words for where something was measured, which change nothing of what it is. Common usage in five languages. */
export const placeWords =
  /(?:^|[\s,;(-])(?:\(?(?:in.?situ|on.?site|field|field measurement|lab|laboratory|no campo|em campo|campo|laborat[oó]rio|en campo|in loco|sur (?:site|place)|terrain|labo(?:ratoire)?|vor ort|labor|feldmessung)\)?)(?=$|[\s,;)-])/iu;

/** Words for how something was measured. */
export const methodWords =
  /chromatograph|chromatogr|\bicp\b|icp-|\baas\b|gc-?ms|lc-?ms|titr|nephelo|photom|colorim|colorimetr|spectro|gravim|electro|elektro|membran|filtration|enzym|pour plate|spread plate|\bmpn\b|most probable|presence|iso\s?\d|epa\s?\d|\bdin\b|\ben\s?\d|\bsm\s?\d|standard methods|calculated|calculado|calcul[ée]|berechnet|method|m[ée]todo|m[ée]thode|verfahren|in-house|interno|interne/iu;
