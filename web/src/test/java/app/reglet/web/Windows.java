package app.reglet.web;

import java.util.List;
import org.testng.IInvokedMethod;
import org.testng.IInvokedMethodListener;
import org.testng.ITestResult;

/**
 * Takes the browser's windows back when a test is over, so that the next one finds them; a test on
 * whose pages a script failed has failed.
 */
public final class Windows implements IInvokedMethodListener {
  @Override
  public void afterInvocation(IInvokedMethod method, ITestResult result) {
    if (method.isTestMethod()) {
      List<String> complaints = Live.complaints();
      if (result.isSuccess() && !complaints.isEmpty()) {
        result.setStatus(ITestResult.FAILURE);
        result.setThrowable(
            new AssertionError(
                "A page complained on its console: " + String.join("; ", complaints)));
      }
      Live.done(result.isSuccess());
    }
  }
}
