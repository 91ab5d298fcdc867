import { parseQuantity } from '@fair-gable/core';
for (const t of ['21 ft 9 1/2 in', '21 ft 9 1/2in','21 ft 9 in', '21 ft 9 1/2', "21' 9 1/2\"", '9 1/2 in', '21 ft 9½ in', '21 ft 9-1/2 in', '5/32']) console.log(t, JSON.stringify(parseQuantity(t, 'feet', 'us')));
