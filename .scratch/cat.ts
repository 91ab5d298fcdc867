import {specs,features,stations} from '@fair-gable/core';
for (const s of stations) console.log(s.number, s.key, s.label, s.layer, '|', specs.filter(x=>x.station===s.key).map(x=>x.key+(x.located?'@':'')).join(' '), '|F|', features.filter(x=>x.station===s.key).map(x=>x.key).join(' '));
