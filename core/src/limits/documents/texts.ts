/*
 * The values of the documents, typed from the texts in their own order and units (from memory where nobody could look one up here), and not
 * taken from the tables of limits. One line a kind of value: `parameter number unit`, parted by semicolons; `@day` is a day of sampling on
 * which it holds, 23 November 2026 where it is left out; `at kind` a point of that kind. `10 mg/L as N` is taken to the ion.
 */
export const texts: Readonly<Record<string, string>> = {
  'eu-2020-2184': `
    health: enterococci 0 /100mL; ecoli 0 /100mL
    health: acrylamide 0.10 ug/L; antimony 10 ug/L; arsenic 10 ug/L; benzene 1.0 ug/L; benzoAPyrene 0.010 ug/L; bisphenolA 2.5 ug/L
    health: boron 1.5 mg/L; bromate 10 ug/L; cadmium 5.0 ug/L; chlorate 0.25 mg/L; chlorite 0.25 mg/L; chromium 25 ug/L @2036-01-12
    health: chromium 50 ug/L; copper 2.0 mg/L; cyanide 50 ug/L; dichloroethane12 3.0 ug/L; epichlorohydrin 0.10 ug/L; fluoride 1.5 mg/L
    health: haloaceticAcids 60 ug/L; lead 5 ug/L @2036-01-12; lead 10 ug/L; mercury 1.0 ug/L; microcystin 1.0 ug/L; nickel 20 ug/L
    health: nitrate 50 mg/L; nitrite 0.50 mg/L; nitrite 0.10 mg/L at entry-point; pfasTotal 0.50 ug/L; pfasSum20 0.10 ug/L
    health: polycyclicSum 0.10 ug/L; selenium 20 ug/L; chloroethenes 10 ug/L; trihalomethanes 100 ug/L; uranium 30 ug/L
    health: vinylChloride 0.50 ug/L; pesticidesSum 0.50 ug/L; each pesticide 0.10 ug/L
    health: aldrin 0.030 ug/L; dieldrin 0.030 ug/L; heptachlor 0.030 ug/L; heptachlorEpoxide 0.030 ug/L
    health: antimony 5.0 ug/L @2022-06-01; boron 1.0 mg/L @2022-06-01; selenium 10 ug/L @2022-06-01
    indicator: aluminium 200 ug/L; ammonium 0.50 mg/L; chloride 250 mg/L; clostridium 0 /100mL; conductivity 2790 uS/cm; ph 9.5 pH
    indicator: ph least 6.5 pH; iron 200 ug/L; manganese 50 ug/L; oxidisability 5.0 mg/L; sulfate 250 mg/L; sodium 200 mg/L
    indicator: coliforms 0 /100mL; radon 100 Bq/L; tritium 100 Bq/L; indicativeDose 0.10 mSv; grossAlpha 0.1 Bq/L; grossBeta 1.0 Bq/L
    action: legionella 1000 /L`,
  'us-40-cfr': `
    health: ecoli 0 /100mL
    health: vinylChloride 2 ug/L; benzene 5 ug/L; tetrachloromethane 5 ug/L; dichloroethane12 5 ug/L; trichloroethene 5 ug/L
    health: dichlorobenzene14 75 ug/L; dichloroethene11 7 ug/L; trichloroethane111 200 ug/L; cisDichloroethene12 70 ug/L
    health: dichloropropane12 5 ug/L; ethylbenzene 700 ug/L; chlorobenzene 100 ug/L; dichlorobenzene12 600 ug/L; styrene 100 ug/L
    health: tetrachloroethene 5 ug/L; toluene 1000 ug/L; transDichloroethene12 100 ug/L; xylenes 10000 ug/L; dichloromethane 5 ug/L
    health: trichlorobenzene124 70 ug/L; trichloroethane112 5 ug/L
    health: alachlor 2 ug/L; atrazine 3 ug/L; carbofuran 40 ug/L; chlordane 2 ug/L; dibromochloropropane 0.2 ug/L; d24 70 ug/L
    health: dibromoethane12 0.05 ug/L; heptachlor 0.4 ug/L; heptachlorEpoxide 0.2 ug/L; lindane 0.2 ug/L; methoxychlor 40 ug/L
    health: polychlorinatedBiphenyls 0.5 ug/L; pentachlorophenol 1 ug/L; toxaphene 3 ug/L; fenoprop 50 ug/L; benzoAPyrene 0.2 ug/L
    health: dalapon 200 ug/L; ethylhexylAdipate 400 ug/L; ethylhexylPhthalate 6 ug/L; dinoseb 7 ug/L; diquat 20 ug/L; endothall 100 ug/L
    health: endrin 2 ug/L; glyphosate 700 ug/L; hexachlorobenzene 1 ug/L; hexachlorocyclopentadiene 50 ug/L; oxamyl 200 ug/L
    health: picloram 500 ug/L; simazine 4 ug/L; dioxin 30 pg/L
    health: fluoride 4.0 mg/L; asbestos 7 MFL; barium 2 mg/L; cadmium 0.005 mg/L; chromium 0.1 mg/L; mercury 0.002 mg/L
    health: nitrate 10 mg/L as N; nitrite 1 mg/L as N; nitrateNitrite 10 mg/L; selenium 0.05 mg/L; antimony 0.006 mg/L
    health: beryllium 0.004 mg/L; freeCyanide 0.2 mg/L; thallium 0.002 mg/L; arsenic 0.010 mg/L
    health: trihalomethanes 0.080 mg/L; haloaceticAcids 0.060 mg/L; bromate 0.010 mg/L; chlorite 1.0 mg/L
    health: freeChlorine 4.0 mg/L; totalChlorine 4.0 mg/L; monochloramine 4.0 mg/L; chlorineDioxide 0.8 mg/L
    health: radium 5 pCi/L; grossAlpha 15 pCi/L; betaDose 4 mrem; uranium 30 ug/L
    health: pfoa 4.0 ng/L @2029-04-26; pfos 4.0 ng/L @2029-04-26; pfhxs 10 ng/L @2029-04-26; pfna 10 ng/L @2029-04-26
    health: hfpoDa 10 ng/L @2029-04-26
    indicator: pfoa 4.0 ng/L; pfos 4.0 ng/L; pfhxs 10 ng/L; pfna 10 ng/L; hfpoDa 10 ng/L; cyanide 0.2 mg/L
    indicator: coliforms 0 /100mL; enterococci 0 /100mL; coliphages 0 /100mL; heterotrophic 500 /mL
    action: lead 0.015 mg/L; lead 0.010 mg/L @2027-11-01; copper 1.3 mg/L
    aesthetic: aluminium 200 ug/L; chloride 250 mg/L; colour 15 mg/L Pt; copper 1.0 mg/L; fluoride 2.0 mg/L; surfactants 0.5 mg/L
    aesthetic: iron 0.3 mg/L; manganese 0.05 mg/L; odour 3 dilution; ph least 6.5 pH; ph 8.5 pH; silver 0.10 mg/L; sulfate 250 mg/L
    aesthetic: dissolvedSolids 500 mg/L; zinc 5 mg/L`,
  'who-gdwq': `
    health: ecoli 0 /100mL; thermotolerant 0 /100mL
    health: acrylamide 0.0005 mg/L; alachlor 0.02 mg/L; aldicarb 0.01 mg/L; antimony 0.02 mg/L; arsenic 0.01 mg/L; atrazine 0.1 mg/L
    health: barium 1.3 mg/L; bentazone 0.5 mg/L; benzene 0.01 mg/L; benzoAPyrene 0.0007 mg/L; boron 2.4 mg/L; bromate 0.01 mg/L
    health: bromodichloromethane 0.06 mg/L; bromoform 0.1 mg/L; cadmium 0.003 mg/L; carbofuran 0.007 mg/L; tetrachloromethane 0.004 mg/L
    health: chlorate 0.7 mg/L; chlordane 0.0002 mg/L; freeChlorine 5 mg/L; chlorite 0.7 mg/L; chloroform 0.3 mg/L; chlortoluron 0.03 mg/L
    health: chlorpyrifos 0.03 mg/L; chromium 0.05 mg/L; copper 2 mg/L; cyanazine 0.0006 mg/L; d24 0.03 mg/L; db24 0.09 mg/L; ddt 0.001 mg/L
    health: ethylhexylPhthalate 0.008 mg/L; dibromochloromethane 0.1 mg/L; dibromochloropropane 0.001 mg/L; dibromoethane12 0.0004 mg/L
    health: dichloroaceticAcid 0.05 mg/L; dichlorobenzene12 1 mg/L; dichlorobenzene14 0.3 mg/L; dichloroethane12 0.03 mg/L
    health: dichloromethane 0.02 mg/L; dichloropropane12 0.04 mg/L; dichlorprop 0.1 mg/L; dimethoate 0.006 mg/L; dioxane14 0.05 mg/L
    health: edetic 0.6 mg/L; endrin 0.0006 mg/L; epichlorohydrin 0.0004 mg/L; ethylbenzene 0.3 mg/L; fenoprop 0.009 mg/L; fluoride 1.5 mg/L
    health: hexachlorobutadiene 0.0006 mg/L; isoproturon 0.009 mg/L; lead 0.01 mg/L; lindane 0.002 mg/L; manganese 0.08 mg/L; mcpa 0.7 mg/L
    health: mecoprop 0.01 mg/L; mercury 0.006 mg/L; methoxychlor 0.02 mg/L; metolachlor 0.01 mg/L; microcystin 0.001 mg/L; molinate 0.006 mg/L
    health: monochloramine 3 mg/L; monochloroaceticAcid 0.02 mg/L; nickel 0.07 mg/L; nitrate 50 mg/L; nitrilotriacetic 0.2 mg/L; nitrite 3 mg/L
    health: nitrosodimethylamine 0.0001 mg/L; pendimethalin 0.02 mg/L; pentachlorophenol 0.009 mg/L; perchlorate 0.07 mg/L; selenium 0.04 mg/L
    health: simazine 0.002 mg/L; styrene 0.02 mg/L; t245 0.009 mg/L; terbuthylazine 0.007 mg/L; tetrachloroethene 0.1 mg/L; toluene 0.7 mg/L
    health: trichloroaceticAcid 0.2 mg/L; trichloroethene 0.008 mg/L; trichlorophenol246 0.2 mg/L; trifluralin 0.02 mg/L; uranium 0.03 mg/L
    health: vinylChloride 0.0003 mg/L; xylenes 0.5 mg/L
    indicator: coliforms 0 /100mL treated; grossAlpha 0.5 Bq/L; grossBeta 1 Bq/L; indicativeDose 0.1 mSv
    aesthetic: aluminium 0.2 mg/L; ammonium 1.5 mg/L; chloride 250 mg/L; colour 15 mg/L Pt; iron 0.3 mg/L; manganese 0.02 mg/L
    aesthetic: sodium 200 mg/L; sulfate 250 mg/L; sulfide 0.05 mg/L; zinc 4 mg/L; dissolvedSolids 1000 mg/L`,
  'ca-gcdwq': `
    health: ecoli 0 /100mL; coliforms 0 /100mL
    health: aluminium 2.9 mg/L; antimony 6 ug/L; arsenic 10 ug/L; atrazine 5 ug/L; barium 2.0 mg/L; benzene 5 ug/L; benzoAPyrene 0.04 ug/L
    health: boron 5 mg/L; bromate 10 ug/L; cadmium 7 ug/L; tetrachloromethane 2 ug/L; chlorate 1 mg/L; chlorite 1 mg/L; chlorpyrifos 90 ug/L
    health: chromium 50 ug/L; copper 2 mg/L; cyanide 0.2 mg/L; d24 100 ug/L; dicamba 110 ug/L; dichlorobenzene14 5 ug/L; dichloroethane12 5 ug/L
    health: dichloroethene11 14 ug/L; dichloromethane 50 ug/L; dimethoate 20 ug/L; dioxane14 50 ug/L; diquat 50 ug/L; ethylbenzene 140 ug/L
    health: fluoride 1.5 mg/L; glyphosate 280 ug/L; haloaceticAcids 80 ug/L; lead 5 ug/L; manganese 120 ug/L; mcpa 350 ug/L; mercury 1 ug/L
    health: metribuzin 80 ug/L; microcystin 1.5 ug/L; nitrate 45 mg/L; nitrite 3 mg/L; nitrilotriacetic 400 ug/L; nitrosodimethylamine 0.04 ug/L
    health: pentachlorophenol 60 ug/L; selenium 50 ug/L; strontium 7.0 mg/L; tetrachloroethene 10 ug/L; toluene 60 ug/L; trichloroethene 5 ug/L
    health: trihalomethanes 100 ug/L; uranium 20 ug/L; vinylChloride 2 ug/L; xylenes 90 ug/L
    health: lead210 0.2 Bq/L; radium226 0.5 Bq/L; strontium90 5 Bq/L; tritium 7000 Bq/L
    indicator: grossAlpha 0.5 Bq/L; grossBeta 1 Bq/L; aluminium 100 ug/L; ph least 7.0 pH; ph 10.5 pH
    aesthetic: chloride 250 mg/L; colour 15 mg/L Pt; copper 1 mg/L; ethylbenzene 1.6 ug/L; iron 0.1 mg/L; manganese 20 ug/L; mtbe 15 ug/L
    aesthetic: sodium 200 mg/L; sulfate 500 mg/L; sulfide 0.05 mg/L; toluene 24 ug/L; dissolvedSolids 500 mg/L; xylenes 20 ug/L; zinc 5.0 mg/L`,
  'de-trinkwv': `
    health: ecoli 0 /100mL; enterococci 0 /100mL
    health: acrylamide 0.10 ug/L; benzene 1.0 ug/L; boron 1000 ug/L; bromate 10 ug/L; chromium 25 ug/L; chromium 5 ug/L @2030-01-12
    health: cyanide 50 ug/L; dichloroethane12 3.0 ug/L; fluoride 1.5 mg/L; nitrate 50 mg/L; each pesticide 0.10 ug/L; pesticidesSum 0.50 ug/L
    health: aldrin 0.030 ug/L; dieldrin 0.030 ug/L; heptachlor 0.030 ug/L; heptachlorEpoxide 0.030 ug/L
    health: pfasSum20 100 ng/L; pfasSum4 20 ng/L @2028-01-12; mercury 1.0 ug/L; selenium 10 ug/L; chloroethenes 10 ug/L; uranium 10 ug/L
    health: antimony 5.0 ug/L; arsenic 10 ug/L; arsenic 4.0 ug/L @2036-01-12; benzoAPyrene 0.010 ug/L; bisphenolA 2.5 ug/L; lead 10 ug/L
    health: lead 5.0 ug/L @2028-01-12; cadmium 3.0 ug/L; chlorate 0.070 mg/L; chlorite 0.20 mg/L; epichlorohydrin 0.10 ug/L
    health: haloaceticAcids 0.060 mg/L; copper 2.0 mg/L; microcystin 1.0 ug/L; nickel 20 ug/L; nitrite 0.50 mg/L
    health: nitrite 0.10 mg/L at entry-point; polycyclicSum 0.10 ug/L; trihalomethanes 0.050 mg/L; vinylChloride 0.50 ug/L
    indicator: pfasSum4 20 ng/L; aluminium 0.200 mg/L; ammonium 0.50 mg/L; chloride 250 mg/L; clostridium 0 /100mL; coliforms 0 /100mL
    indicator: iron 0.200 mg/L; absorbance436 0.5 1/m; plateCount22 100 /mL; plateCount36 100 /mL; conductivity 2790 uS/cm
    indicator: manganese 0.050 mg/L; sodium 200 mg/L; sulfate 250 mg/L; oxidisability 5.0 mg/L; turbidity 1.0 NTU at entry-point
    indicator: ph least 6.5 pH; ph 9.5 pH; radon 100 Bq/L; tritium 100 Bq/L; indicativeDose 0.10 mSv
    action: legionella 100 /100mL`,
  'england-2016': `
    health: ecoli 0 /100mL; enterococci 0 /100mL
    health: acrylamide 0.10 ug/L; antimony 5.0 ug/L; arsenic 10 ug/L; benzene 1.0 ug/L; benzoAPyrene 0.010 ug/L; boron 1.0 mg/L; bromate 10 ug/L
    health: cadmium 5.0 ug/L; chromium 50 ug/L; copper 2.0 mg/L; cyanide 50 ug/L; dichloroethane12 3.0 ug/L; epichlorohydrin 0.10 ug/L
    health: fluoride 1.5 mg/L; lead 10 ug/L; mercury 1.0 ug/L; nickel 20 ug/L; nitrate 50 mg/L; nitrite 0.50 mg/L
    health: nitrite 0.10 mg/L at entry-point; aldrin 0.030 ug/L; dieldrin 0.030 ug/L; heptachlor 0.030 ug/L; heptachlorEpoxide 0.030 ug/L
    health: each pesticide 0.10 ug/L; pesticidesSum 0.50 ug/L; polycyclicSum 0.10 ug/L; selenium 10 ug/L; chloroethenes 10 ug/L
    health: trihalomethanes 100 ug/L; vinylChloride 0.50 ug/L; tetrachloromethane 3 ug/L
    aesthetic: aluminium 200 ug/L; colour 20 mg/L Pt; iron 200 ug/L; manganese 50 ug/L; sodium 200 mg/L; turbidity 4 NTU
    indicator: ammonium 0.50 mg/L; chloride 250 mg/L; clostridium 0 /100mL; coliforms 0 /100mL; conductivity 2790 uS/cm; ph least 6.5 pH
    indicator: ph 9.5 pH; sulfate 250 mg/L; indicativeDose 0.10 mSv; radon 100 Bq/L; tritium 100 Bq/L; turbidity 1 NTU at entry-point`,
  'in-is-10500': `
    health: ecoli 0 /100mL; thermotolerant 0 /100mL
    aesthetic: colour 5 mg/L Pt; turbidity 1 NTU; dissolvedSolids 500 mg/L; aluminium 0.03 mg/L; calcium 75 mg/L; chloride 250 mg/L
    aesthetic: copper 0.05 mg/L; magnesium 30 mg/L; manganese 0.1 mg/L; sulfate 200 mg/L; zinc 5 mg/L; surfactants 0.2 mg/L
    aesthetic: phenols 0.001 mg/L; alkalinity 200 mg/L CaCO3; hardness 200 mg/L CaCO3
    indicator: colour 15 mg/L Pt; turbidity 5 NTU; dissolvedSolids 2000 mg/L; ph least 6.5 pH; ph 8.5 pH; aluminium 0.2 mg/L; calcium 200 mg/L
    indicator: chloride 1000 mg/L; magnesium 100 mg/L; manganese 0.3 mg/L; sulfate 400 mg/L; zinc 15 mg/L; surfactants 1.0 mg/L
    indicator: phenols 0.002 mg/L; iron 1.0 mg/L; sulfide 0.05 mg/L; alkalinity 600 mg/L CaCO3; hardness 600 mg/L CaCO3; boron 0.5 mg/L
    indicator: fluoride 1.0 mg/L; coliforms 0 /100mL; grossAlpha 0.1 Bq/L; grossBeta 1.0 Bq/L
    health: boron 2.4 mg/L; fluoride 1.5 mg/L; copper 1.5 mg/L; barium 0.7 mg/L; nitrate 45 mg/L; selenium 0.01 mg/L; silver 0.1 mg/L
    health: monochloramine 4.0 mg/L; cadmium 0.003 mg/L; cyanide 0.05 mg/L; lead 0.01 mg/L; mercury 0.001 mg/L; molybdenum 0.07 mg/L
    health: nickel 0.02 mg/L; polychlorinatedBiphenyls 0.0005 mg/L; arsenic 0.01 mg/L; chromium 0.05 mg/L; uranium 0.03 mg/L; bromoform 0.1 mg/L
    health: dibromochloromethane 0.1 mg/L; bromodichloromethane 0.06 mg/L; chloroform 0.2 mg/L
    health: alachlor 20 ug/L; atrazine 2 ug/L; aldrin 0.03 ug/L; dieldrin 0.03 ug/L; chlorpyrifos 30 ug/L; ddt 1 ug/L; d24 30 ug/L
    health: lindane 2 ug/L; isoproturon 9 ug/L`,
  'nz-dwsnz': `
    health: ecoli 0 /100mL
    health: antimony 0.02 mg/L; arsenic 0.01 mg/L; barium 1.5 mg/L; boron 2.4 mg/L; bromate 0.01 mg/L; cadmium 0.004 mg/L; chlorate 0.8 mg/L
    health: chlorite 0.8 mg/L; freeChlorine 5 mg/L; chromium 0.05 mg/L; copper 2 mg/L; cyanide 0.6 mg/L; fluoride 1.5 mg/L; lead 0.01 mg/L
    health: manganese 0.4 mg/L; mercury 0.007 mg/L; monochloramine 3 mg/L; nickel 0.08 mg/L; nitrate 50 mg/L; nitrite 3 mg/L
    health: selenium 0.04 mg/L; uranium 0.03 mg/L
    indicator: coliforms 0 /100mL treated
    aesthetic: ammonium 1.5 mg/L; chloride 250 mg/L; colour 10 mg/L Pt; copper 1 mg/L; hardness 200 mg/L CaCO3; iron 0.3 mg/L
    aesthetic: manganese 0.04 mg/L; ph least 7.0 pH; ph 8.5 pH; sodium 200 mg/L; sulfate 250 mg/L; dissolvedSolids 1000 mg/L
    aesthetic: turbidity 5 NTU; zinc 1.5 mg/L`,
  'au-adwg': `
    health: ecoli 0 /100mL
    health: antimony 0.003 mg/L; arsenic 0.01 mg/L; barium 2 mg/L; benzene 0.001 mg/L; benzoAPyrene 0.00001 mg/L; beryllium 0.06 mg/L; boron 4 mg/L
    health: bromate 0.02 mg/L; cadmium 0.002 mg/L; tetrachloromethane 0.003 mg/L; freeChlorine 5 mg/L; chlorite 0.8 mg/L; chromium6 0.05 mg/L
    health: copper 2 mg/L; cyanide 0.08 mg/L; dichloroethane12 0.003 mg/L; dichloromethane 0.004 mg/L; fluoride 1.5 mg/L; iodide 0.5 mg/L
    health: lead 0.01 mg/L; manganese 0.5 mg/L; mercury 0.001 mg/L; molybdenum 0.05 mg/L; monochloramine 3 mg/L; nickel 0.02 mg/L; nitrate 50 mg/L
    health: nitrite 3 mg/L; nitrosodimethylamine 0.0001 mg/L; selenium 0.01 mg/L; silver 0.1 mg/L; sulfate 500 mg/L; tetrachloroethene 0.05 mg/L
    health: trihalomethanes 0.25 mg/L; uranium 0.02 mg/L; vinylChloride 0.0003 mg/L
    health: pfos 0.008 ug/L; pfoa 0.2 ug/L; pfhxs 0.03 ug/L; pfbs 1 ug/L
    aesthetic: aluminium 0.2 mg/L; ammonium 0.5 mg/L; chloride 250 mg/L; freeChlorine 0.6 mg/L; colour 15 mg/L Pt; copper 1 mg/L
    aesthetic: hardness 200 mg/L CaCO3; iron 0.3 mg/L; manganese 0.1 mg/L; ph least 6.5 pH; ph 8.5 pH; sodium 180 mg/L; sulfate 250 mg/L
    aesthetic: sulfide 0.05 mg/L; dissolvedSolids 600 mg/L; turbidity 5 NTU; zinc 3 mg/L
    indicator: grossAlpha 0.5 Bq/L; grossBeta 0.5 Bq/L; radon 100 Bq/L`,
  'irrigation-fao-29': `
    indicator: conductivity 700 uS/cm; dissolvedSolids 450 mg/L; sar 3 1; chloride 141.8 mg/L; boron 0.7 mg/L; nitrate 5 mg/L as N
    indicator: bicarbonate 91.5 mg/L; ph least 6.5 pH; ph 8.4 pH
    operational: conductivity 3000 uS/cm; dissolvedSolids 2000 mg/L; sar 9 1; chloride 354.5 mg/L; boron 3.0 mg/L; nitrate 30 mg/L as N
    operational: bicarbonate 518.6 mg/L
    operational: aluminium 5.0 mg/L; arsenic 0.10 mg/L; beryllium 0.10 mg/L; cadmium 0.01 mg/L; cobalt 0.05 mg/L; chromium 0.10 mg/L
    operational: copper 0.20 mg/L; fluoride 1.0 mg/L; iron 5.0 mg/L; lithium 2.5 mg/L; manganese 0.20 mg/L; molybdenum 0.01 mg/L
    operational: nickel 0.20 mg/L; lead 5.0 mg/L; selenium 0.02 mg/L; vanadium 0.10 mg/L; zinc 2.0 mg/L`,
  'livestock-fao-29': `
    indicator: conductivity 5000 uS/cm; magnesium 250 mg/L; manganese 0.05 mg/L
    operational: conductivity 8000 uS/cm; aluminium 5.0 mg/L; arsenic 0.2 mg/L; beryllium 0.1 mg/L; boron 5.0 mg/L; cadmium 0.05 mg/L
    operational: chromium 1.0 mg/L; cobalt 1.0 mg/L; copper 0.5 mg/L; fluoride 2.0 mg/L; lead 0.1 mg/L; mercury 0.01 mg/L
    operational: nitrateNitrite 100 mg/L; nitrate 100 mg/L as N; nitrite 10 mg/L as N; selenium 0.05 mg/L; vanadium 0.10 mg/L; zinc 24 mg/L`,
};

/** The sums that a document has: the parts with their shares, and on which day. `mg/L`: all parts are held to one value. */
export const sums: Readonly<Record<string, string>> = {
  'eu-2020-2184': `
    nitrate 50 mg/L + nitrite 3 mg/L
    chloroform 100 ug/L + bromoform 100 ug/L + dibromochloromethane 100 ug/L + bromodichloromethane 100 ug/L
    monochloroaceticAcid 60 ug/L + dichloroaceticAcid 60 ug/L + trichloroaceticAcid 60 ug/L + monobromoaceticAcid 60 ug/L + dibromoaceticAcid 60 ug/L
    benzoBFluoranthene 0.1 ug/L + benzoKFluoranthene 0.1 ug/L + benzoGhiPerylene 0.1 ug/L + indenoPyrene 0.1 ug/L
    tetrachloroethene 10 ug/L + trichloroethene 10 ug/L
    all of PFAS 20 0.1 ug/L
    any pesticide 0.5 ug/L`,
  'us-40-cfr': `
    nitrate 10 mg/L as N + nitrite 10 mg/L as N
    chloroform 80 ug/L + bromoform 80 ug/L + dibromochloromethane 80 ug/L + bromodichloromethane 80 ug/L
    monochloroaceticAcid 60 ug/L + dichloroaceticAcid 60 ug/L + trichloroaceticAcid 60 ug/L + monobromoaceticAcid 60 ug/L + dibromoaceticAcid 60 ug/L
    radium226 5 pCi/L + radium228 5 pCi/L
    hfpoDa 10 ng/L + pfbs 2000 ng/L + pfna 10 ng/L + pfhxs 10 ng/L`,
  'who-gdwq': `
    nitrate 50 mg/L + nitrite 3 mg/L
    bromoform 0.1 mg/L + dibromochloromethane 0.1 mg/L + bromodichloromethane 0.06 mg/L + chloroform 0.3 mg/L
    aldrin 0.00003 mg/L + dieldrin 0.00003 mg/L`,
  'ca-gcdwq': `
    chloroform 0.1 mg/L + bromoform 0.1 mg/L + dibromochloromethane 0.1 mg/L + bromodichloromethane 0.1 mg/L
    monochloroaceticAcid 80 ug/L + dichloroaceticAcid 80 ug/L + trichloroaceticAcid 80 ug/L + monobromoaceticAcid 80 ug/L + dibromoaceticAcid 80 ug/L`,
  'de-trinkwv': `
    nitrate 50 mg/L + nitrite 3 mg/L
    chloroform 50 ug/L + bromoform 50 ug/L + dibromochloromethane 50 ug/L + bromodichloromethane 50 ug/L
    monochloroaceticAcid 60 ug/L + dichloroaceticAcid 60 ug/L + trichloroaceticAcid 60 ug/L + monobromoaceticAcid 60 ug/L + dibromoaceticAcid 60 ug/L
    benzoBFluoranthene 0.1 ug/L + benzoKFluoranthene 0.1 ug/L + benzoGhiPerylene 0.1 ug/L + indenoPyrene 0.1 ug/L
    tetrachloroethene 10 ug/L + trichloroethene 10 ug/L
    all of PFAS 20 0.1 ug/L
    pfoa 20 ng/L + pfna 20 ng/L + pfhxs 20 ng/L + pfos 20 ng/L @2028-01-12
    any pesticide 0.5 ug/L`,
  'england-2016': `
    nitrate 50 mg/L + nitrite 3 mg/L
    chloroform 100 ug/L + bromoform 100 ug/L + dibromochloromethane 100 ug/L + bromodichloromethane 100 ug/L
    benzoBFluoranthene 0.1 ug/L + benzoKFluoranthene 0.1 ug/L + benzoGhiPerylene 0.1 ug/L + indenoPyrene 0.1 ug/L
    tetrachloroethene 10 ug/L + trichloroethene 10 ug/L
    any pesticide 0.5 ug/L`,
  'nz-dwsnz': `
    nitrate 50 mg/L + nitrite 3 mg/L`,
  'au-adwg': `
    chloroform 0.25 mg/L + bromoform 0.25 mg/L + dibromochloromethane 0.25 mg/L + bromodichloromethane 0.25 mg/L`,
};
