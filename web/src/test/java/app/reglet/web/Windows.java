package app.reglet.web;

import org.testng.IInvokedMethod;
import org.testng.IInvokedMethodListener;
import org.testng.ITestResult;

/** Takes the browser's windows back when a test is over, so that the next one finds them. */
public final class Windows implements IInvokedMethodListener {
  @Override
  public void afterInvocation(IInvokedMethod method, ITestResult result) {
    if (method.isTestMethod()) {
      Live.done(result.isSuccess());
    }
  }
}
