export { readVin, tidyVin, vinCheckDigit, type VinReading } from './vin.ts';
