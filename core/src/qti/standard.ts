// Names that the standard fixes. Source: 1EdTech QTI 3.0, assessment items and packaging.
// They are names, not addresses: nothing is ever fetched from them.

export const QTI_NAMESPACE = 'http://www.imsglobal.org/xsd/imsqtiasi_v3p0';
export const PACKAGE_NAMESPACE = 'http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1';
export const MATCH_CORRECT = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/match_correct.xml';
export const MAP_RESPONSE = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/map_response.xml';
/** What an item is in a package's manifest. */
export const ITEM_TYPE = 'imsqti_item_xmlv3p0';
export const MANIFEST = 'imsmanifest.xml';
/** Where an item of ours stands in its own XML, so that nothing is lost when it comes back. */
export const OWN_ITEM = 'data-zeitpunkt-item';
