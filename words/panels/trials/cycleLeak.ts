export const secondsThePumpRests = "Seconds the pump rests";
