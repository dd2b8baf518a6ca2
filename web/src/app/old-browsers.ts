// What browsers of 2021 lack and this application uses. Syntax is made older by the build, by web/.browserslistrc.
import 'core-js/actual/array/at';
import 'core-js/actual/array/find-last';
import 'core-js/actual/object/has-own';
